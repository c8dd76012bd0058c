package org.kindgirdle.server.journal;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.stereotype.Service;

/** What has been recorded of layers lately, by anyone. */
@Service
public class LayerChanges {

    /** A row may be committed later than one that was stamped after it: so much is asked for again. */
    private static final int OVERLAP_SECONDS = 15;

    private static final int MOST = 500;

    private static final String SELECT = "select e.uuid, l.code, e.kind, e.person_id, p.full_name, e.occurred_at,"
            + " e.recorded_at from layer_event e join layer l on l.id = e.layer_id join person p on p.id = e.person_id";

    private final JdbcTemplate jdbc;
    private final BusinessClock clock;

    LayerChanges(JdbcTemplate jdbc, BusinessClock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** One record, and whose it is. */
    public record LayerChange(
            UUID id, String code, RecordKind kind, long personId, String by, Instant occurredAt, Instant recordedAt) {}

    /**
     * @param upTo to ask from the next time
     * @param records in the order in which they were recorded; some may have been told before: their ids say which
     */
    public record Changes(Instant upTo, List<LayerChange> records) {}

    /** What was recorded since a moment. Beyond the newest 500 it says nothing of the older ones. */
    public Changes since(Instant moment) {
        Instant now = clock.systemNow();
        List<LayerChange> newest = jdbc.query(
                SELECT + " where e.recorded_at >= ? and e.kind <> 'SET' order by e.recorded_at desc, e.id desc limit "
                        + MOST,
                CHANGE,
                utc(moment.minusSeconds(OVERLAP_SECONDS)));
        return new Changes(now, inOrder(newest));
    }

    /** What was recorded today of today, the newest first. */
    public List<LayerChange> today() {
        LocalDate today = clock.today();
        Instant midnight = clock.systemNow()
                .atZone(clock.zone())
                .toLocalDate()
                .atStartOfDay(clock.zone())
                .toInstant();
        return jdbc.query(
                SELECT + " where e.recorded_at >= ? and e.on_date = ? and e.kind <> 'SET'"
                        + " order by e.recorded_at desc, e.id desc limit " + MOST,
                CHANGE,
                utc(midnight),
                today);
    }

    private static List<LayerChange> inOrder(List<LayerChange> newestFirst) {
        List<LayerChange> all = new ArrayList<>(newestFirst);
        Collections.reverse(all);
        return all;
    }

    private static LocalDateTime utc(Instant moment) {
        return LocalDateTime.ofInstant(moment, ZoneOffset.UTC);
    }

    private static final RowMapper<LayerChange> CHANGE = (row, index) -> new LayerChange(
            UUID.fromString(row.getString("uuid")),
            row.getString("code"),
            RecordKind.valueOf(row.getString("kind")),
            row.getLong("person_id"),
            row.getString("full_name"),
            row.getObject("occurred_at", LocalDateTime.class).toInstant(ZoneOffset.UTC),
            row.getObject("recorded_at", LocalDateTime.class).toInstant(ZoneOffset.UTC));
}
