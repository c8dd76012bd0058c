package org.kindgirdle.server.journal;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.projection.Projections;
import org.kindgirdle.server.records.LayerEventRow;
import org.kindgirdle.server.records.RecordCodec;
import org.kindgirdle.server.records.RecordKind;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Reads layers with their whole journals, however many there are: some hundred are held at once. */
@Service
public class WholeJournals {

    private static final Limit AT_ONCE = Limit.of(1000);

    private final JournaledLayers layers;
    private final JournalRows events;
    private final RecordCodec codec;
    private final EntityManager entities;

    WholeJournals(JournaledLayers layers, JournalRows events, RecordCodec codec, EntityManager entities) {
        this.layers = layers;
        this.events = events;
        this.codec = codec;
        this.entities = entities;
    }

    /** A layer and all that was recorded of it, in the order of replay. */
    public record Life(
            String code,
            UUID batchId,
            long motherId,
            @Nullable Long limbId,
            long recipeId,
            int recipeNumber,
            LayerPhase phase,
            List<Entry> entries) {

        /** What its records amount to; null if it was taken back. */
        public @Nullable LayerState state() {
            return Projections.state(entries.stream().map(Entry::event).toList());
        }
    }

    /** One row of the journal, but for the verdict that was given with it. */
    public record Entry(
            RecordKind kind,
            LayerEvent event,
            int clockOffsetDays,
            long personId,
            String note,
            @Nullable LocalDate ready10On,
            @Nullable LocalDate ready50On,
            @Nullable LocalDate ready90On) {}

    /** Hands over every layer, in the order of their numbers, as they were at one moment. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void each(Consumer<Life> to) {
        int number = -1;
        List<Layer> some;
        do {
            some = layers.findByNumberGreaterThanOrderByNumber(number, AT_ONCE);
            number = some.isEmpty() ? number : some.get(some.size() - 1).number();
            lives(some).forEach(to);
            // what was handed over is not held on to
            entities.clear();
        } while (some.size() == AT_ONCE.max());
    }

    /** Those of some codes. */
    @Transactional(readOnly = true)
    public List<Life> of(Collection<String> codes) {
        return codes.isEmpty() ? List.of() : lives(layers.findByCodeInOrderByNumber(codes));
    }

    /** The codes of the layers that have some records, by the records' ids. */
    @Transactional(readOnly = true)
    public Map<UUID, String> layersOf(Collection<UUID> records) {
        return records.isEmpty()
                ? Map.of()
                : events.layersOf(records).stream()
                        .collect(Collectors.toMap(JournalRows.Of::record, JournalRows.Of::code));
    }

    /** The type of a kind's details, for those that read and write them. */
    public static Class<? extends LayerRecord> type(RecordKind kind) {
        return kind.type();
    }

    private List<Life> lives(List<Layer> some) {
        if (some.isEmpty()) {
            return List.of();
        }
        Map<Long, List<Entry>> entries = new HashMap<>();
        events.findByLayerIdInOrderById(some.stream().map(Layer::id).toList())
                .forEach(row -> entries.computeIfAbsent(row.layerId(), id -> new ArrayList<>())
                        .add(entry(row)));
        return some.stream()
                .map(layer -> new Life(
                        layer.code(),
                        layer.batchId(),
                        layer.motherId(),
                        layer.limbId(),
                        layer.recipeId(),
                        layer.recipeNumber(),
                        layer.phase(),
                        entries.getOrDefault(layer.id(), List.of()).stream()
                                .sorted((a, b) -> LayerEvent.ORDER.compare(a.event, b.event))
                                .toList()))
                .toList();
    }

    private Entry entry(LayerEventRow row) {
        return new Entry(
                row.kind(),
                codec.event(row),
                row.clockOffsetDays(),
                row.personId(),
                row.note(),
                row.ready10On(),
                row.ready50On(),
                row.ready90On());
    }
}
