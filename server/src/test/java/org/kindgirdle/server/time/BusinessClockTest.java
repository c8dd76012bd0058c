package org.kindgirdle.server.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The nursery's day and time against the system's, over the turn of winter and summer time and over midnight. */
class BusinessClockTest {

    private static final LocalDate DAY = LocalDate.of(2026, 7, 10);

    private final DemoClockRepository rows = mock(DemoClockRepository.class);
    private final Clock system = mock(Clock.class);

    private BusinessClock at(String zone, String instant, boolean demo) {
        when(rows.zone()).thenReturn(Optional.of(zone));
        when(rows.today()).thenReturn(DAY);
        system(instant);
        return new BusinessClock(rows, system, demo);
    }

    private void system(String instant) {
        when(system.instant()).thenReturn(Instant.parse(instant));
    }

    @ParameterizedTest
    @CsvSource({
        "Europe/London,    2026-11-30T23:27:38Z, 23:27:38",
        "Europe/London,    2026-11-30T00:10:00Z, 00:10:00",
        "Europe/London,    2026-06-30T22:59:59Z, 23:59:59",
        "America/Chicago,  2026-12-01T05:30:00Z, 23:30:00",
        "Australia/Sydney, 2026-12-01T13:15:00Z, 00:15:00",
        "Asia/Kolkata,     2026-12-01T18:29:00Z, 23:59:00"
    })
    void the_demos_time_lies_on_its_day_whatever_the_time_of_year_of_the_system(
            String zone, String instant, LocalTime time) {
        ZonedDateTime now = at(zone, instant, true).now().atZone(ZoneId.of(zone));

        assertThat(now.toLocalDate()).isEqualTo(DAY);
        assertThat(now.toLocalTime()).isEqualTo(time);
    }

    @Test
    void a_demo_left_over_midnight_keeps_its_day_and_its_order() {
        BusinessClock clock = at("Europe/London", "2026-11-30T23:59:00Z", true);
        Instant before = clock.now();
        system("2026-12-01T00:01:00Z");
        Instant after = clock.now();
        system("2026-12-03T11:00:00Z");

        assertThat(after).isAfter(before).isEqualTo(clock.now());
        assertThat(LocalDate.ofInstant(after, ZoneId.of("Europe/London"))).isEqualTo(DAY);
    }

    @Test
    void the_next_day_has_its_own_time() {
        BusinessClock clock = at("Europe/London", "2026-11-30T23:59:00Z", true);
        system("2026-12-03T11:00:00Z");
        LocalDate next = DAY.plusDays(1);
        when(rows.moveTo(next)).thenReturn(1);

        assertThat(clock.moveTo(next)).isTrue();
        when(rows.today()).thenReturn(next);
        assertThat(clock.now()).isEqualTo("2026-07-11T10:00:00Z");
        assertThat(clock.moveTo(DAY)).isFalse();
    }

    @Test
    void outside_the_demo_it_is_the_systems_time() {
        BusinessClock clock = at("Europe/London", "2026-06-30T23:30:00Z", false);

        assertThat(clock.now()).isEqualTo("2026-06-30T23:30:00Z");
        assertThat(clock.today()).isEqualTo(LocalDate.of(2026, 7, 1));
        assertThat(clock.offsetDays()).isZero();
        assertThat(clock.moveTo(LocalDate.of(2027, 1, 1))).isFalse();
        assertThat(Duration.between(clock.now(), clock.systemNow())).isZero();
    }
}
