package org.kindgirdle.server.nursery;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootingTime;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** For which species the nursery goes by its own records, and what they said when that was settled. */
@Service
public class LearnedTimes {

    private final JdbcTemplate jdbc;
    private final NurseryLock lock;
    private final ApplicationEventPublisher events;

    LearnedTimes(JdbcTemplate jdbc, NurseryLock lock, ApplicationEventPublisher events) {
        this.jdbc = jdbc;
        this.lock = lock;
        this.events = events;
    }

    /**
     * What was settled for a species.
     *
     * @param number of the decision, rising
     * @param time of its own records; null to go by the profile
     */
    public record Settled(
            String speciesCode, long number, @Nullable RootingTime time, String madeBy, LocalDate madeOn) {}

    /** The newest decision of each species that had one by a day. */
    @Transactional(readOnly = true)
    public Map<String, Settled> asOf(LocalDate day) {
        return jdbc
                .query(
                        "select * from learned_time where id in"
                                + " (select max(id) from learned_time where made_on <= ? group by species_code)",
                        LearnedTimes::settled,
                        day)
                .stream()
                .collect(Collectors.toMap(Settled::speciesCode, Function.identity()));
    }

    /** Every decision of a species, the newest first. */
    @Transactional(readOnly = true)
    public List<Settled> of(String speciesCode) {
        return jdbc.query(
                "select * from learned_time where species_code = ? order by id desc",
                LearnedTimes::settled,
                speciesCode);
    }

    /**
     * Goes by own records, or back to the profile; the dates of all layers under way follow.
     *
     * @param number of the newest decision that was seen; 0 for none
     * @throws org.kindgirdle.server.problem.ProblemException if another was made meanwhile
     */
    @Transactional
    public void settle(String speciesCode, @Nullable RootingTime time, long number, String by, LocalDate on) {
        lock.holdForChange();
        Settled now = of(speciesCode).stream().findFirst().orElse(null);
        Versions.check(number, now == null ? 0 : now.number(), number, now == null ? "" : now);
        jdbc.update(
                "insert into learned_time (species_code, d50_thermal_days, sigma, records, made_by, made_on)"
                        + " values (?, ?, ?, ?, ?, ?)",
                speciesCode,
                time == null ? null : time.d50ThermalDays(),
                time == null ? null : time.sigma(),
                time == null ? 0 : time.records(),
                by,
                on);
        events.publishEvent(new Nursery.Changed("learned time of " + speciesCode));
    }

    private static Settled settled(ResultSet row, int index) throws SQLException {
        Double d50 = row.getObject("d50_thermal_days", Double.class);
        return new Settled(
                row.getString("species_code"),
                row.getLong("id"),
                d50 == null ? null : new RootingTime(d50, row.getDouble("sigma"), row.getInt("records")),
                row.getString("made_by"),
                Objects.requireNonNull(row.getObject("made_on", LocalDate.class)));
    }
}
