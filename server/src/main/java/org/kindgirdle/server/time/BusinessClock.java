package org.kindgirdle.server.time;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import org.kindgirdle.server.persistence.Refreshed;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * What day it is for the nursery. The demo's clock stands some days off the system's and can only go forward: its day
 * stays until somebody moves it, and its time of day runs on to the end of that day and stops there, so that no record
 * of the demo lies before an earlier one or after the demo's day. Sessions, throttling and locks use the system clock.
 */
@Component
public class BusinessClock {

    private static final ZoneId UTC = ZoneId.of("UTC");

    private final Refreshed<ZoneId> zone = new Refreshed<>(this::zoneOfSite);
    /** The demo runs in one copy, and whoever moves its clock does it here. */
    private final Refreshed<LocalDate> demoDay = new Refreshed<>(this::dayOfDemo);

    private final DemoClockRepository rows;
    private final Clock system;
    private final boolean demo;
    /** When the demo's day was begun, by the system clock. */
    private volatile Instant dayBegunAt;

    BusinessClock(DemoClockRepository rows, Clock system, @Value("${kindgirdle.demo:false}") boolean demo) {
        this.rows = rows;
        this.system = system;
        this.demo = demo;
        this.dayBegunAt = system.instant();
    }

    public boolean isDemo() {
        return demo;
    }

    /** The site's zone; UTC until there is a site. */
    public ZoneId zone() {
        return zone.get();
    }

    private ZoneId zoneOfSite() {
        return rows.zone().map(ZoneId::of).orElse(UTC);
    }

    private LocalDate dayOfDemo() {
        return rows.today();
    }

    /** The site moved, or may have: what is known of its zone is asked for anew. */
    public void forgetZone() {
        zone.forget();
    }

    /** Today at the site. */
    public LocalDate today() {
        return demo ? demoDay.get() : systemDay();
    }

    /** How many days the business clock is ahead of the system's; 0 outside the demo. */
    public int offsetDays() {
        return demo ? (int) ChronoUnit.DAYS.between(systemDay(), today()) : 0;
    }

    /** Now for the nursery: the time of day at the site, on the business day. */
    public Instant now() {
        return demo ? demoNow() : systemNow();
    }

    /**
     * The days are not added to the instant: between winter and summer time that is an hour off, which late in the
     * evening is another day.
     */
    private Instant demoNow() {
        ZoneId zone = zone();
        Instant begun = dayBegunAt;
        LocalTime startedAt = begun.atZone(zone).toLocalTime();
        LocalDate today = today();
        LocalDateTime at = today.atTime(startedAt).plus(Duration.between(begun, system.instant()));
        LocalDateTime last = today.atTime(LocalTime.MAX);
        return (at.isAfter(last) ? last : at).atZone(zone).toInstant().truncatedTo(ChronoUnit.MICROS);
    }

    /** Now by the system clock. */
    public Instant systemNow() {
        return system.instant().truncatedTo(ChronoUnit.MICROS);
    }

    /** The day on which a demo begins that has nothing in it yet. */
    public void beginDemoOn(LocalDate day) {
        rows.save(new DemoClockRow(day));
        demoDay.forget();
    }

    /** Moves the demo's clock forward. @return false if the day lies before the one that it stands at */
    public boolean moveTo(LocalDate day) {
        if (!demo || day.isBefore(today())) {
            return false;
        }
        boolean another = rows.moveTo(day) == 1;
        demoDay.forget();
        if (another) {
            dayBegunAt = system.instant();
        }
        return another || day.equals(today());
    }

    private LocalDate systemDay() {
        return LocalDate.ofInstant(system.instant(), zone());
    }
}
