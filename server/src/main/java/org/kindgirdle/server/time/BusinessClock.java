package org.kindgirdle.server.time;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What day it is for the nursery. The demo's clock stands some days off the system's and can only go forward. Sessions,
 * throttling and locks use the system clock.
 */
@Component
public class BusinessClock {

    private final JdbcTemplate jdbc;
    private final Clock system;
    private final boolean demo;

    BusinessClock(JdbcTemplate jdbc, Clock system, @Value("${kindgirdle.demo:false}") boolean demo) {
        this.jdbc = jdbc;
        this.system = system;
        this.demo = demo;
    }

    public boolean isDemo() {
        return demo;
    }

    /** The site's zone; UTC until there is a site. */
    public ZoneId zone() {
        return jdbc.query(
                "select zone from site where id = 1",
                rows -> rows.next() ? ZoneId.of(rows.getString(1)) : ZoneId.of("UTC"));
    }

    /** Today at the site. */
    public LocalDate today() {
        return demo ? jdbc.queryForObject("select today from demo_clock where id = 1", LocalDate.class) : systemDay();
    }

    /** How many days the business clock is ahead of the system's; 0 outside the demo. */
    public int offsetDays() {
        return demo ? (int) ChronoUnit.DAYS.between(systemDay(), today()) : 0;
    }

    /** Now for the nursery: the system's time of day on the business day. */
    public Instant now() {
        return system.instant().plus(offsetDays(), ChronoUnit.DAYS).truncatedTo(ChronoUnit.MICROS);
    }

    /** Now by the system clock. */
    public Instant systemNow() {
        return system.instant().truncatedTo(ChronoUnit.MICROS);
    }

    /** Moves the demo's clock forward. @return whether it was later than before */
    public boolean moveTo(LocalDate day) {
        return demo && jdbc.update("update demo_clock set today = ? where id = 1 and today <= ?", day, day) == 1;
    }

    private LocalDate systemDay() {
        return LocalDate.ofInstant(system.instant(), zone());
    }
}
