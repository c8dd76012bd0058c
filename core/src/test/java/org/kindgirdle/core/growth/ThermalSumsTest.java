package org.kindgirdle.core.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Collections;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;

class ThermalSumsTest {

    private static final CardinalTemperatures QUINCE = new CardinalTemperatures(5, 22, 36);
    private static final LocalDate FIRST = LocalDate.of(2026, 1, 1);

    @Test
    void at_the_optimum_all_day_a_day_counts_one() {
        ThermalSums sums = sums(Map.of());
        assertThat(sums.between(FIRST, FIRST.plusDays(10))).isCloseTo(10, within(1e-9));
        assertThat(sums.firstDayReaching(FIRST, 10 - 1e-9)).contains(FIRST.plusDays(9));
        assertThat(sums.firstDayReaching(FIRST, 10.5)).contains(FIRST.plusDays(10));
    }

    @Test
    void a_measured_day_replaces_the_normal() {
        ThermalSums sums = sums(Map.of(FIRST.plusDays(3), new DayTemperatures(0, 4)));
        assertThat(sums.between(FIRST, FIRST.plusDays(10))).isCloseTo(9, within(1e-9));
    }

    @Test
    void beyond_four_years_there_is_no_date() {
        ThermalSums sums = sums(Map.of());
        assertThat(sums.firstDayReaching(FIRST, 1461 - 1e-9)).contains(FIRST.plusDays(1460));
        assertThat(sums.firstDayReaching(FIRST, 1461.5)).isEmpty();
    }

    private static ThermalSums sums(Map<LocalDate, DayTemperatures> known) {
        MonthlyNormals steady = new MonthlyNormals(Collections.nCopies(12, 22.0), Collections.nCopies(12, 22.0));
        PlaceClimate climate = new PlaceClimate(52, steady, null, 5, 1, known);
        return new ThermalSums(
                HouseRules.SHIPPED, climate, QUINCE, Exposure.SHADE, Cover.FOIL, null, FIRST, FIRST.plusDays(30));
    }
}
