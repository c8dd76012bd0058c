package org.kindgirdle.server.journal;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.projection.Projections;
import org.kindgirdle.server.records.Journals;
import org.kindgirdle.server.records.LayerEventRow;
import org.kindgirdle.server.records.RecordCodec;
import org.kindgirdle.server.records.SaidDates;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes whole journals at once: seasons that were kept elsewhere. Each layer is projected once, from all of its
 * records; the verdicts of their days are not written.
 */
@Service
public class JournalIntake {

    /** Warmth is reckoned from a layer's first day on: it is known for so many years back. */
    public static final int MAX_YEARS_BACK = 25;

    /** Layers that are held in memory at once. */
    private static final int AT_ONCE = 500;

    private final JournaledLayers layers;
    private final Journals journals;
    private final RecordCodec codec;
    private final Snapshots snapshots;
    private final BusinessClock clock;
    private final NurseryLock lock;
    private final LayerNumbers layerNumbers;
    private final EntityManager entities;

    JournalIntake(
            JournaledLayers layers,
            Journals journals,
            RecordCodec codec,
            Snapshots snapshots,
            BusinessClock clock,
            NurseryLock lock,
            LayerNumbers layerNumbers,
            EntityManager entities) {
        this.layers = layers;
        this.journals = journals;
        this.codec = codec;
        this.snapshots = snapshots;
        this.clock = clock;
        this.lock = lock;
        this.layerNumbers = layerNumbers;
        this.entities = entities;
    }

    /**
     * A layer with everything that was recorded of it.
     *
     * @param code that it has already, which no other layer here has; null for the next one
     * @param records in the order in which they happened, the first of them its setting
     */
    public record Whole(
            @Nullable String code,
            UUID batchId,
            long motherId,
            @Nullable Long limbId,
            long recipeId,
            int recipeNumber,
            List<Noted> records) {}

    /** More that was recorded of a layer that is here. */
    public record More(String code, List<Noted> records) {}

    /**
     * One record of it.
     *
     * @param at when it happened
     * @param recordedAt when it was written down
     * @param said of the layer on that day; null if nothing is known of that
     */
    public record Noted(
            UUID id,
            Instant at,
            Instant recordedAt,
            int clockOffsetDays,
            long personId,
            @Nullable UUID corrects,
            LayerRecord what,
            String note,
            @Nullable SaidDates said) {

        /** Written down when it happened. */
        public Noted(UUID id, Instant at, long personId, LayerRecord what, String note, @Nullable SaidDates said) {
            this(id, at, at, 0, personId, null, what, note, said);
        }
    }

    /** Appends them all. @return their codes, in order */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<String> load(List<Whole> all) {
        if (all.isEmpty()) {
            return List.of();
        }
        lock.share();
        ZoneId zone = clock.zone();
        NurserySnapshot nursery = snapshots.takeSince(all.stream()
                .map(one -> LocalDate.ofInstant(one.records().get(0).at(), zone))
                .min(LocalDate::compareTo)
                .orElseThrow());
        int[] numbers = numbers(all);
        List<String> codes = new ArrayList<>();
        for (int from = 0; from < all.size(); from += AT_ONCE) {
            int to = Math.min(all.size(), from + AT_ONCE);
            codes.addAll(write(all.subList(from, to), Arrays.copyOfRange(numbers, from, to), nursery, zone));
        }
        return codes;
    }

    /** Appends records to layers that are here. What can't apply any more is kept, and shown as conflicting. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void append(List<More> all) {
        lock.share();
        NurserySnapshot nursery = snapshots.take();
        ZoneId zone = clock.zone();
        Map<String, List<Noted>> more = new HashMap<>();
        all.forEach(one ->
                more.computeIfAbsent(one.code(), code -> new ArrayList<>()).addAll(one.records()));
        List<Layer> some = layers.findByCodeIn(more.keySet());
        Map<Long, List<LayerEvent>> known = journals.of(Layer.ids(some));
        List<LayerEventRow> fresh = new ArrayList<>();
        for (Layer layer : some) {
            List<LayerEvent> journal = new ArrayList<>(known.getOrDefault(layer.id(), List.of()));
            for (Noted noted : more.getOrDefault(layer.code(), List.of())) {
                LayerEventRow row = row(noted, zone);
                row.belongTo(layer.id());
                journal.add(event(noted, zone));
                fresh.add(row);
            }
            Projections.write(layer, Projections.of(layer, journal, nursery), journal.size(), nursery);
        }
        insert(fresh);
    }

    /** The numbers under which they are kept: that of a layer's own code, or the next. */
    private int[] numbers(List<Whole> all) {
        int beyond = all.stream()
                .map(Whole::code)
                .filter(Objects::nonNull)
                .mapToInt(LayerCode::number)
                .max()
                .orElse(-1);
        int fresh = (int) all.stream().filter(one -> one.code() == null).count();
        int next = layerNumbers.take(beyond, fresh);
        int[] numbers = new int[all.size()];
        for (int i = 0; i < numbers.length; i++) {
            String code = all.get(i).code();
            numbers[i] = code == null ? next++ : LayerCode.number(code);
        }
        return numbers;
    }

    private List<String> write(List<Whole> some, int[] numbers, NurserySnapshot nursery, ZoneId zone) {
        List<Layer> rows = new ArrayList<>();
        Map<Integer, List<LayerEventRow>> records = new LinkedHashMap<>();
        for (Whole one : some) {
            int number = numbers[rows.size()];
            Layer layer = new Layer(
                    number,
                    LayerCode.of(number),
                    one.batchId(),
                    one.motherId(),
                    one.limbId(),
                    one.recipeId(),
                    one.recipeNumber(),
                    LocalDate.ofInstant(one.records().get(0).at(), zone));
            List<LayerEvent> journal =
                    one.records().stream().map(noted -> event(noted, zone)).toList();
            LayerState state = Projections.state(journal);
            layer.begin(
                    nursery.recipe(one.recipeId(), one.recipeNumber()).method(),
                    state == null ? null : state.set().hand());
            Projections.write(layer, Projections.of(layer, journal, nursery), journal.size(), nursery);
            rows.add(layer);
            records.put(
                    number,
                    one.records().stream().map(noted -> row(noted, zone)).toList());
        }
        rows.forEach(layer -> {
            entities.persist(layer);
            records.getOrDefault(layer.number(), List.of()).forEach(row -> row.belongTo(layer.id()));
        });
        // records refer to their layers, which Hibernate is not told: they come first
        entities.flush();
        insert(records.values().stream().flatMap(List::stream).toList());
        return rows.stream().map(layer -> layer.code()).toList();
    }

    private static LayerEvent event(Noted noted, ZoneId zone) {
        return new LayerEvent(
                noted.id(),
                LocalDate.ofInstant(noted.at(), zone),
                noted.at(),
                noted.recordedAt(),
                noted.corrects(),
                noted.what());
    }

    /** Written in batches, and then let go: nothing of it is read again. */
    private void insert(List<LayerEventRow> records) {
        records.forEach(entities::persist);
        entities.flush();
        entities.clear();
    }

    private LayerEventRow row(Noted noted, ZoneId zone) {
        LayerEventRow row = codec.row(event(noted, zone), noted.note(), noted.personId(), noted.clockOffsetDays());
        row.said(noted.said());
        return row;
    }
}
