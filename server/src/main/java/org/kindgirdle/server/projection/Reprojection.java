package org.kindgirdle.server.projection;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.LongPredicate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.server.climate.Weather;
import org.kindgirdle.server.mothers.Mothers;
import org.kindgirdle.server.nursery.MasterDataChanged;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.persistence.Looking;
import org.kindgirdle.server.records.Journals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Makes the projections of many layers in one pass: when the day turns, and when master data change. */
@Service
public class Reprojection {

    /** The phases in which a layer is looked after. */
    public static final Set<LayerPhase> LIVE = EnumSet.of(LayerPhase.ON_MOTHER, LayerPhase.SEVERED, LayerPhase.POTTED);

    private final LayerRepository layers;
    private final Journals journals;
    private final Snapshots snapshots;
    private final DayTurnRepository turns;
    private final BusinessClock clock;
    private final NurseryLock lock;
    private final Weather weather;
    private final Recalculation recalculation;
    private final RecalculationSize size;
    private final EntityManager entities;

    /** What was turned to is not turned back. */
    private volatile @Nullable LocalDate turnedTo;

    Reprojection(
            LayerRepository layers,
            Journals journals,
            Snapshots snapshots,
            DayTurnRepository turns,
            BusinessClock clock,
            NurseryLock lock,
            Weather weather,
            Recalculation recalculation,
            RecalculationSize size,
            EntityManager entities) {
        this.layers = layers;
        this.journals = journals;
        this.snapshots = snapshots;
        this.turns = turns;
        this.clock = clock;
        this.lock = lock;
        this.weather = weather;
        this.recalculation = recalculation;
        this.size = size;
        this.entities = entities;
    }

    /** Brings all live layers to today, if that has not been done; only one copy of the application does it. */
    @Transactional
    public void turnDay() {
        LocalDate today = clock.today();
        if (today.equals(turnedTo) || turns.hasTurnedTo(today)) {
            turnedTo = today;
            return;
        }
        lock.holdAlone();
        // whoever came second has waited for the lock, and finds the work done
        if (!turns.hasTurnedTo(today)) {
            weather.fetch(today);
            reckonLive();
            turns.save(new DayTurnRow(today));
        }
    }

    @EventListener
    @Transactional
    public void onChange(MasterDataChanged change) {
        if (Looking.isOn()) {
            return;
        }
        if (change.motherId() == null) {
            reckonLive();
        } else {
            write(layers.findByMotherIdAndPhaseInOrderById(change.motherId(), LIVE));
        }
    }

    /** What was set under one record of a plant belongs to the other one from now on. */
    @EventListener
    void onMerger(Mothers.Merged merger) {
        layers.move(merger.from(), merger.into());
    }

    /** All live layers: in this transaction if they are few, else in a pass of its own that begins when it is over. */
    private void reckonLive() {
        int live = layers.countByPhaseIn(LIVE);
        if (live <= size.atOnce()) {
            write(layers.findByPhaseInOrderById(LIVE));
            recalculation.cancel();
        } else {
            recalculation.begin(live);
        }
    }

    /**
     * The next step of the pass that is under way: some hundred layers, with no record meanwhile.
     *
     * @return whether there is more to do
     */
    @Transactional
    public boolean step() {
        lock.holdAlone();
        if (!recalculation.progress().running()) {
            return false;
        }
        List<Layer> some = layers.findByPhaseInAndIdGreaterThanOrderById(
                LIVE, recalculation.nextId(), Limit.of(RecalculationSize.STEP));
        write(some);
        return recalculation.advance(
                some.isEmpty() ? 0 : some.get(some.size() - 1).id(),
                some.size(),
                some.size() == RecalculationSize.STEP);
    }

    /**
     * Every layer, from its journal alone as of today, in the transaction that is open: rows that a file brought have
     * no projection yet.
     *
     * @param done is told how many are done, and says whether to go on
     * @return whether it went on to the end
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean ofFile(LongPredicate done) {
        NurserySnapshot nursery = snapshots.take();
        long last = 0;
        long count = 0;
        List<Layer> some;
        do {
            some = layers.findByIdGreaterThanOrderById(last, Limit.of(RecalculationSize.STEP));
            write(some, nursery);
            entities.flush();
            entities.clear();
            last = some.isEmpty() ? last : some.get(some.size() - 1).id();
            count += some.size();
        } while (some.size() == RecalculationSize.STEP && done.test(count));
        return some.size() < RecalculationSize.STEP;
    }

    private void write(List<Layer> some) {
        if (!some.isEmpty()) {
            write(some, snapshots.take());
        }
    }

    private void write(List<Layer> some, NurserySnapshot nursery) {
        Map<Long, List<LayerEvent>> journals = this.journals.of(Layer.ids(some));
        for (Layer layer : some) {
            List<LayerEvent> journal = journals.getOrDefault(layer.id(), List.of());
            Projections.write(layer, Projections.of(layer, journal, nursery), journal.size(), nursery);
        }
    }
}
