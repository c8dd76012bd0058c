package org.kindgirdle.server.layers;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.projection.Projections;
import org.kindgirdle.server.projection.TipFirst;
import org.kindgirdle.server.records.Journals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Layers with all that is known of them, for the screens that decide on many at once. */
@Service
public class LiveLayers {

    private static final Rule NEARLY_DAYS = Rule.of("sever.nearly");

    /** More than anybody decides on in a day; the most pressing are there. */
    public static final int MAX = 400;

    private static final List<String> CUT_OR_HELD = Arrays.stream(NextStep.values())
            .filter(step -> step.isSevering()
                    || step.name().startsWith("HOLD_")
                    || step == NextStep.CARRY_OVER
                    || step == NextStep.PROTECT)
            .map(Enum::name)
            .toList();

    private static final Set<RootStage> FULL = EnumSet.of(RootStage.FILLED, RootStage.MATURE);

    private final LayerRows layers;
    private final Journals journals;
    private final TipFirst tipFirst;
    private final Snapshots snapshots;

    LiveLayers(LayerRows layers, Journals journals, TipFirst tipFirst, Snapshots snapshots) {
        this.layers = layers;
        this.journals = journals;
        this.tipFirst = tipFirst;
        this.snapshots = snapshots;
    }

    /**
     * One layer as of today.
     *
     * @param limbId that it stands on, if that is known
     * @param placeId where it is: its own place once it is severed, else its mother's
     * @param first codes that must be severed before it
     */
    public record Live(
            String code,
            MotherView mother,
            @Nullable Long limbId,
            long placeId,
            List<LayerEvent> journal,
            LayerProjection projection,
            LayerContext context,
            List<String> first) {

        /** What was recorded and is in force, oldest first: nothing that was taken back or put right since. */
        public List<LayerEvent> inForce() {
            Set<UUID> counting = Replay.counting(journal);
            return journal.stream()
                    .filter(event -> counting.contains(event.id()))
                    .sorted(Comparator.comparing(LayerEvent::occurredAt))
                    .toList();
        }
    }

    /** Those on their mothers that a cut is to be decided for, the most pressing first. */
    @Transactional(readOnly = true)
    public List<Live> toBeCut() {
        NurserySnapshot nursery = snapshots.take();
        LocalDate by = nursery.today().plusDays(nursery.rules().count(NEARLY_DAYS));
        return of(layers.findToBeCut(CUT_OR_HELD, FULL, RootStage.ROOTED, by, Limit.of(MAX)), nursery);
    }

    /** All of a phase. */
    @Transactional(readOnly = true)
    public List<Live> in(LayerPhase phase) {
        return of(layers.findByPhaseOrderById(phase), snapshots.take());
    }

    /**
     * What a day's potting is about.
     *
     * @param severed and not in a pot yet
     * @param potted of all ages
     * @param toCut on their mothers, and settled on to be cut by that day
     */
    public record ToPot(List<Live> severed, List<Live> potted, List<Live> toCut) {

        /** Plants in a tray of moss. */
        public List<Live> inMoss() {
            return potted.stream()
                    .filter(one -> one.projection().state().plant() != null
                            && one.projection().state().plant().mossSince() != null)
                    .toList();
        }
    }

    @Transactional(readOnly = true)
    public ToPot toPot(LocalDate day) {
        Map<LayerPhase, List<Live>> all = of(
                        layers.findToPot(List.of(LayerPhase.SEVERED, LayerPhase.POTTED), LayerPhase.ON_MOTHER, day),
                        snapshots.take())
                .stream()
                .collect(Collectors.groupingBy(one -> one.projection().state().phase()));
        return new ToPot(
                all.getOrDefault(LayerPhase.SEVERED, List.of()),
                all.getOrDefault(LayerPhase.POTTED, List.of()),
                all.getOrDefault(LayerPhase.ON_MOTHER, List.of()));
    }

    /** The newest of some phases. */
    @Transactional(readOnly = true)
    public List<Live> lately(Collection<LayerPhase> phases, int most) {
        return of(layers.findByPhaseInOrderByIdDesc(phases, Limit.of(most)), snapshots.take());
    }

    /** @throws ProblemException if there is no such layer, or it was taken back */
    @Transactional(readOnly = true)
    public Live one(String code) {
        Layer layer = layers.findByCode(code).orElseThrow(() -> ProblemException.notFound("layer", code));
        return of(List.of(layer), snapshots.take()).stream()
                .findFirst()
                .orElseThrow(() -> ProblemException.notFound("layer", code));
    }

    private List<Live> of(List<Layer> some, NurserySnapshot nursery) {
        Map<Long, List<LayerEvent>> known = journals.of(Layer.ids(some));
        Map<String, List<String>> first = tipFirst.before(some);
        return some.stream()
                .map(layer -> live(layer, known.getOrDefault(layer.id(), List.of()), first, nursery))
                .filter(Objects::nonNull)
                .toList();
    }

    private static @Nullable Live live(
            Layer layer, List<LayerEvent> journal, Map<String, List<String>> first, NurserySnapshot nursery) {
        LayerProjection projection = Projections.of(layer, journal, nursery);
        if (projection == null) {
            return null;
        }
        MotherView mother = nursery.mother(layer.motherId());
        Long stands = projection.state().placeId();
        return new Live(
                layer.code(),
                mother,
                layer.limbId(),
                stands == null ? mother.placeId() : stands,
                journal,
                projection,
                Projections.context(layer, projection.state(), nursery),
                first.getOrDefault(layer.code(), List.of()));
    }
}
