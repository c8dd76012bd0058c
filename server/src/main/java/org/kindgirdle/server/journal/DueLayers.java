package org.kindgirdle.server.journal;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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

    private final NamedParameterJdbcTemplate jdbc;

    DueLayers(JdbcTemplate jdbc) {
        this.jdbc = new NamedParameterJdbcTemplate(jdbc);
    }

    /**
     * A layer whose next job may not wait.
     *
     * @param phase on its mother or after it
     * @param stage found last, with its fill
     */
    public record Due(
            String code,
            long motherId,
            Method method,
            LayerPhase phase,
            RootStage stage,
            double fillPercent,
            String job,
            LocalDate from,
            LocalDate by,
            List<String> alsoDo) {}

    /** Live layers whose job's last day lies before a day, the most pressing first. */
    public List<Due> before(LocalDate day) {
        return jdbc.query(
                "select code, mother_id, method, phase, stage, fill_percent, job, job_from, job_by, also_do from layer"
                        + " where phase in (:live) and job_by < :day order by job_by, id",
                of(day),
                DUE);
    }

    private static final RowMapper<Due> DUE = (row, index) -> {
        String job = row.getString("job");
        LocalDate by = row.getObject("job_by", LocalDate.class);
        String also = row.getString("also_do");
        return new Due(
                row.getString("code"),
                row.getLong("mother_id"),
                Method.valueOf(row.getString("method")),
                LayerPhase.valueOf(row.getString("phase")),
                RootStage.valueOf(row.getString("stage")),
                row.getDouble("fill_percent"),
                job,
                Objects.requireNonNullElse(row.getObject("job_from", LocalDate.class), by),
                by,
                also.isEmpty()
                        ? List.of()
                        : Arrays.stream(also.split(","))
                                .filter(code -> !code.equals(job))
                                .toList());
    };

    private static Map<String, Object> of(LocalDate day) {
        return Map.of("live", Reprojection.LIVE.stream().map(Enum::name).toList(), "day", day);
    }

    /** How many layers have a job whose last day is this or a later one. */
    public long countFrom(LocalDate day) {
        return Objects.requireNonNull(jdbc.queryForObject(
                "select count(*) from layer where phase in (:live) and job_by >= :day", of(day), Long.class));
    }
}
