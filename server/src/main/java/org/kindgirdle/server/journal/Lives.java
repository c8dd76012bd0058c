package org.kindgirdle.server.journal;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Reads layers with their whole journals, however many there are: some hundred are held at once. */
@Service
public class Lives {

    private static final int AT_ONCE = 1000;

    private static final String EVENTS = "select layer_id, uuid, kind, on_date, occurred_at, recorded_at,"
            + " clock_offset_days, person_id, corrects, details, note, ready10_on, ready50_on, ready90_on"
            + " from layer_event where layer_id ";

    private final JdbcTemplate jdbc;
    private final JsonMapper json;

    Lives(JdbcTemplate jdbc, JsonMapper json) {
        this.jdbc = jdbc;
        this.json = json;
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
        List<Row> some = List.of();
        do {
            number = some.isEmpty() ? number : some.get(some.size() - 1).number;
            some = jdbc.query(
                    "select id, number, code, batch_id, mother_id, limb_id, recipe_id, recipe_number, phase from layer"
                            + " where number > ? order by number limit ?",
                    Lives::row,
                    number,
                    AT_ONCE);
            lives(some).forEach(to);
        } while (some.size() == AT_ONCE);
    }

    /** Those of some codes. */
    @Transactional(readOnly = true)
    public List<Life> of(Collection<String> codes) {
        if (codes.isEmpty()) {
            return List.of();
        }
        return lives(jdbc.query(
                "select id, number, code, batch_id, mother_id, limb_id, recipe_id, recipe_number, phase from layer"
                        + " where code in (" + marks(codes.size()) + ") order by number",
                Lives::row,
                codes.toArray()));
    }

    /** The codes of the layers that have some records, by the records' ids. */
    @Transactional(readOnly = true)
    public Map<UUID, String> layersOf(Collection<UUID> records) {
        Map<UUID, String> codes = new HashMap<>();
        if (!records.isEmpty()) {
            jdbc.query(
                    "select e.uuid, l.code from layer_event e join layer l on l.id = e.layer_id where e.uuid in ("
                            + marks(records.size()) + ")",
                    row -> {
                        codes.put(UUID.fromString(row.getString(1)), row.getString(2));
                    },
                    records.stream().map(UUID::toString).toArray());
        }
        return codes;
    }

    /** The type of a kind's details, for those that read and write them. */
    public static Class<? extends LayerRecord> type(RecordKind kind) {
        return kind.type();
    }

    private record Row(
            long id,
            int number,
            String code,
            UUID batchId,
            long motherId,
            @Nullable Long limbId,
            long recipeId,
            int recipeNumber,
            LayerPhase phase) {}

    private List<Life> lives(List<Row> rows) {
        if (rows.isEmpty()) {
            return List.of();
        }
        Map<Long, List<Entry>> entries = new HashMap<>();
        jdbc.query(
                EVENTS + "in (" + marks(rows.size()) + ")",
                row -> {
                    entries.computeIfAbsent(row.getLong(1), id -> new ArrayList<>())
                            .add(entry(row));
                },
                rows.stream().map(Row::id).toArray());
        return rows.stream()
                .map(row -> new Life(
                        row.code,
                        row.batchId,
                        row.motherId,
                        row.limbId,
                        row.recipeId,
                        row.recipeNumber,
                        row.phase,
                        entries.getOrDefault(row.id, List.of()).stream()
                                .sorted((a, b) -> LayerEvent.ORDER.compare(a.event, b.event))
                                .toList()))
                .toList();
    }

    private static String marks(int count) {
        return "?,".repeat(count - 1) + "?";
    }

    private static Row row(ResultSet row, int index) throws SQLException {
        long limb = row.getLong(6);
        boolean onNone = row.wasNull();
        return new Row(
                row.getLong(1),
                row.getInt(2),
                row.getString(3),
                UUID.fromString(row.getString(4)),
                row.getLong(5),
                onNone ? null : limb,
                row.getLong(7),
                row.getInt(8),
                LayerPhase.valueOf(row.getString(9)));
    }

    private Entry entry(ResultSet row) throws SQLException {
        RecordKind kind = RecordKind.valueOf(row.getString(3));
        String corrects = row.getString(9);
        return new Entry(
                kind,
                new LayerEvent(
                        UUID.fromString(row.getString(2)),
                        row.getObject(4, LocalDate.class),
                        instant(row, 5),
                        instant(row, 6),
                        corrects == null ? null : UUID.fromString(corrects),
                        json.readValue(row.getString(10), kind.type())),
                row.getInt(7),
                row.getLong(8),
                row.getString(11),
                row.getObject(12, LocalDate.class),
                row.getObject(13, LocalDate.class),
                row.getObject(14, LocalDate.class));
    }

    private static Instant instant(ResultSet row, int column) throws SQLException {
        return row.getObject(column, LocalDateTime.class).toInstant(ZoneOffset.UTC);
    }
}
