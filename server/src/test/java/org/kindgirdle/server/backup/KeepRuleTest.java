package org.kindgirdle.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class KeepRuleTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 7, 10);

    @Test
    void after_two_years_of_nights_seven_days_five_weeks_and_twelve_months_are_there() {
        Set<LocalDate> there = new HashSet<>();
        for (LocalDate day = TODAY.minusYears(2); !day.isAfter(TODAY); day = day.plusDays(1)) {
            there.add(day);
            there.retainAll(KeepRule.kept(there));
        }
        assertThat(there).containsAll(days(TODAY.minusDays(6), TODAY));
        // Sundays are the last of their weeks, and the last of a month is its own
        assertThat(there)
                .contains(LocalDate.of(2026, 7, 5), LocalDate.of(2026, 6, 28), LocalDate.of(2026, 6, 21))
                .contains(LocalDate.of(2026, 6, 30), LocalDate.of(2026, 1, 31), LocalDate.of(2025, 8, 31))
                .doesNotContain(LocalDate.of(2025, 7, 31));
        assertThat(there).hasSizeBetween(20, 24);
    }

    @Test
    void nights_on_which_the_machine_was_off_cost_no_older_backup() {
        List<LocalDate> few = List.of(TODAY, TODAY.minusDays(40), TODAY.minusDays(90), TODAY.minusDays(200));
        assertThat(KeepRule.kept(few)).containsExactlyInAnyOrderElementsOf(few);
        assertThat(KeepRule.kept(List.of())).isEmpty();
    }

    private static List<LocalDate> days(LocalDate from, LocalDate to) {
        return new ArrayList<>(Stream.iterate(from, day -> !day.isAfter(to), day -> day.plusDays(1))
                .toList());
    }
}
