package org.kindgirdle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GrowingYearsTest {

    private static final double SLIPS_AT_C = 10;

    @ParameterizedTest
    @CsvSource({
        // a cut in summer, one after leaf fall and one before the coldest day all wait for the same spring
        "2026-07-10, 2027",
        "2026-12-10, 2027",
        "2027-01-05, 2027",
        "2027-07-10, 2028"
    })
    void a_limb_that_was_cut_back_rests_until_the_bark_slips_again_and_the_last_frost_is_past(
            LocalDate cutOn, int year) {
        GrowingYears years = new GrowingYears(Sites.MARITIME, SLIPS_AT_C);
        LocalDate again = years.opensNextYear(cutOn).orElseThrow();
        assertThat(again).isBetween(LocalDate.of(year, 4, 15), LocalDate.of(year, 5, 31));
        assertThat(again).isAfterOrEqualTo(years.lastFrostOn(again));
        assertThat(Sites.MARITIME.on(again).meanC()).isGreaterThanOrEqualTo(SLIPS_AT_C);
    }

    @ParameterizedTest
    @CsvSource({"2026-01-10, 2026", "2026-07-01, 2026", "2026-11-01, 2027"})
    void south_of_the_line_it_rests_until_the_southern_spring(LocalDate cutOn, int year) {
        LocalDate again = new GrowingYears(Sites.SOUTHERN, SLIPS_AT_C)
                .opensNextYear(cutOn)
                .orElseThrow();
        assertThat(again).isBetween(LocalDate.of(year, 10, 15), LocalDate.of(year, 12, 1));
    }

    @Test
    void where_it_never_is_warm_enough_no_day_is_named() {
        assertThat(new GrowingYears(Sites.MARITIME, 30).opensNextYear(LocalDate.of(2026, 7, 10)))
                .isEmpty();
    }
}
