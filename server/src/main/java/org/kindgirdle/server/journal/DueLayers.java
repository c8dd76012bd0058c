package org.kindgirdle.server.journal;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.set.Method;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Service;

/** What is due, read from the index of the projections: only what a walk is planned from, not whole layers. */
@Service
public class DueLayers {

    /** MariaDB counts days from the year 0, which is this day of the epoch's count. */
    private static final long DAY_ZERO = -719_528;

    private final NamedParameterJdbcTemplate jdbc;

    DueLayers(JdbcTemplate jdbc) {
        this.jdbc = new NamedParameterJdbcTemplate(jdbc);
    }

    /** A layer whose next job may not wait. */
    public record Due(
            String code,
            long motherId,
            @Nullable Long standsAt,
            Method method,
            String job,
            LocalDate from,
            LocalDate by,
            List<String> alsoDo) {}

    /** Where a layer stands, and what was found there last. */
    public record Seen(LayerPhase phase, RootStage stage, double fillPercent) {}

    /** Live layers whose job's last day lies before a day, the most pressing first. */
    public List<Due> before(LocalDate day) {
        // days as numbers and columns by their place: in a large nursery these are thousands of rows
        List<Due> due = jdbc.query(
                "select code, mother_id, method, job, to_days(coalesce(job_from, job_by)), to_days(job_by), also_do, stands_at"
                        + " from layer where phase in (:live) and job_by < :day",
                of(day),
                DUE);
        return due.stream()
                .sorted(Comparator.comparing(Due::by).thenComparing(Due::code))
                .toList();
    }

    private static final RowMapper<Due> DUE = (row, index) -> {
        String job = row.getString(4);
        String also = row.getString(7);
        return new Due(
                row.getString(1),
                row.getLong(2),
                row.getObject(8, Long.class),
                Method.valueOf(row.getString(3)),
                job,
                LocalDate.ofEpochDay(DAY_ZERO + row.getLong(5)),
                LocalDate.ofEpochDay(DAY_ZERO + row.getLong(6)),
                also.isEmpty()
                        ? List.of()
                        : Arrays.stream(also.split(","))
                                .filter(code -> !code.equals(job))
                                .toList());
    };

    /** What was found last on some layers, by code. */
    public Map<String, Seen> seen(Collection<String> codes) {
        Map<String, Seen> seen = new HashMap<>();
        if (!codes.isEmpty()) {
            jdbc.query(
                    "select code, phase, stage, fill_percent from layer where code in (:codes)",
                    Map.of("codes", codes),
                    row -> {
                        seen.put(
                                row.getString(1),
                                new Seen(
                                        LayerPhase.valueOf(row.getString(2)),
                                        RootStage.valueOf(row.getString(3)),
                                        row.getDouble(4)));
                    });
        }
        return seen;
    }

    private static Map<String, Object> of(LocalDate day) {
        return Map.of("live", Reprojection.LIVE.stream().map(Enum::name).toList(), "day", day);
    }

    /** How many layers have a job whose last day is this or a later one. */
    public long countFrom(LocalDate day) {
        return Objects.requireNonNull(jdbc.queryForObject(
                "select count(*) from layer where phase in (:live) and job_by >= :day", of(day), Long.class));
    }
}
