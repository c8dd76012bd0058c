package org.kindgirdle.core.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Collections;
import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import org.jspecify.annotations.Nullable;
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

    /** Line 6 of the rules that said something wrong: a buried stem is as warm as the soil, not as a ball in the sun. */
    @Test
    void soil_keeps_the_mean_of_the_air_and_follows_its_swing_by_half() {
        LocalDate hot = FIRST.plusDays(3);
        MonthlyNormals normals = new MonthlyNormals(Collections.nCopies(12, 14.0), Collections.nCopies(12, 30.0));
        PlaceClimate air = new PlaceClimate(52, normals, null, 5, 1, Map.of(hot, new DayTemperatures(10, 34)));
        PlaceClimate soil = air.inTheGround(HouseRules.SHIPPED);
        assertThat(soil.on(hot).meanC()).isCloseTo(22, within(1e-9));
        assertThat(soil.on(hot).maxC()).isCloseTo(22 + .45 * 12, within(1e-9));
        assertThat(soil.normalOn(200).minC()).isCloseTo(22 - .45 * 8, within(1e-9));
        assertThat(soil.winterLowC()).isEqualTo(air.winterLowC());
        // near the best warmth for it a swing only takes away
        assertThat(thermalDays(soil, hot)).isGreaterThan(thermalDays(air, hot)).isLessThan(1);
    }

    private static double thermalDays(PlaceClimate climate, LocalDate day) {
        return new ThermalSums(
                        HouseRules.SHIPPED,
                        climate,
                        QUINCE,
                        Exposure.SHADE,
                        Cover.FOIL,
                        null,
                        FIRST,
                        FIRST.plusDays(30))
                .between(day, day.plusDays(1));
    }

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

    @Test
    void days_as_the_normals_have_them_are_the_same_each_year_and_a_measured_one_does_not_spread() {
        LocalDate hot = FIRST.plusDays(3);
        ThermalSums sums = sums(Map.of(hot, new DayTemperatures(0, 4)));
        assertThat(sums.between(hot, hot.plusDays(1))).isZero();
        assertThat(sums.between(hot.plusYears(1), hot.plusYears(1).plusDays(1))).isCloseTo(1, within(1e-9));
        assertThat(sums.between(hot, hot)).isZero();
        assertThat(sums.between(hot, hot.minusDays(2))).isZero();
    }

    @Test
    void the_hottest_hour_in_the_ball_is_that_of_the_span_and_no_day_more() {
        LocalDate hot = FIRST.plusDays(5);
        ThermalSums sums = sums(Map.of(hot, new DayTemperatures(20, 35)));
        assertThat(sums.hottestC(hot, hot.plusDays(1))).isCloseTo(35, within(1e-4));
        assertThat(sums.hottestC(FIRST, hot)).isCloseTo(22, within(1e-4));
        assertThat(sums.hottestC(FIRST, hot.plusDays(1))).isCloseTo(35, within(1e-4));
        assertThat(sums.hottestC(hot.plusDays(1), hot.plusDays(9))).isCloseTo(22, within(1e-4));
        assertThat(sums.hottestC(hot.plusYears(1), hot.plusYears(1).plusDays(1)))
                .isCloseTo(22, within(1e-4));
    }

    @Test
    void a_day_that_brings_it_exactly_there_is_the_day() {
        // half of the optimum's rate is none of the numbers that add up exactly: a whole day at the optimum is
        ThermalSums sums = sums(Map.of());
        double first = sums.between(FIRST, FIRST.plusDays(1));
        assertThat(sums.firstDayReaching(FIRST, first)).contains(FIRST);
        assertThat(sums.firstDayReaching(FIRST, 0)).contains(FIRST);
        LocalDate last = FIRST.plusDays(30);
        assertThat(sums.firstDayReaching(last, 1461 - 1e-6)).contains(last.plusDays(1460));
        assertThat(sums.firstDayReaching(last, sums.between(last, last.plusDays(1461))))
                .isPresent();
    }

    /** To the last bit: dates must not hang on what was asked before. */
    @Test
    void what_follows_earlier_weather_is_the_same_as_made_anew() {
        Random random = new Random(5);
        Map<LocalDate, DayTemperatures> known = new HashMap<>();
        ThermalSums.Earlier earlier = null;
        for (int day = 0; day < 60; day++) {
            // forecasts that turn out otherwise, and days that are measured
            for (int ahead = 0; ahead < 7; ahead++) {
                double min = 4 + 10 * random.nextDouble();
                known.put(FIRST.plusDays(day + ahead), new DayTemperatures(min, min + 12 * random.nextDouble()));
            }
            ThermalSums follows = sums(known, earlier);
            earlier = new ThermalSums.Earlier(follows, climate(known));
            ThermalSums anew = sums(known);
            for (int from = 0; from < 400; from += 7) {
                LocalDate start = FIRST.plusDays(from);
                assertThat(follows.between(start, start.plusDays(33)))
                        .isEqualTo(anew.between(start, start.plusDays(33)));
                assertThat(follows.hottestC(start, start.plusDays(9)))
                        .isEqualTo(anew.hottestC(start, start.plusDays(9)));
            }
        }
    }

    @Test
    void beyond_what_was_summed_it_says_how_far_that_is() {
        ThermalSums sums = sums(Map.of());
        LocalDate end = FIRST.plusDays(30 + 1461 + 1);
        assertThat(sums.between(end.minusDays(1), end)).isCloseTo(1, within(1e-9));
        assertThatThrownBy(() -> sums.between(FIRST, end.plusDays(1)))
                .hasMessageContaining(FIRST.toString())
                .hasMessageContaining(end.toString())
                .hasMessageContaining(end.plusDays(1).toString());
        assertThatThrownBy(() -> sums.between(FIRST.minusDays(1), FIRST.plusDays(1)))
                .hasMessageContaining(FIRST.minusDays(1).toString());
    }

    private static ThermalSums sums(Map<LocalDate, DayTemperatures> known) {
        return sums(known, null);
    }

    private static ThermalSums sums(Map<LocalDate, DayTemperatures> known, ThermalSums.@Nullable Earlier earlier) {
        return new ThermalSums(
                HouseRules.SHIPPED,
                climate(known),
                QUINCE,
                Exposure.SHADE,
                Cover.FOIL,
                null,
                FIRST,
                FIRST.plusDays(30),
                earlier);
    }

    private static PlaceClimate climate(Map<LocalDate, DayTemperatures> known) {
        MonthlyNormals steady = new MonthlyNormals(Collections.nCopies(12, 22.0), Collections.nCopies(12, 22.0));
        return new PlaceClimate(52, steady, null, 5, 1, known);
    }
}
