package org.kindgirdle.core.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.core.climate.BallWarmth;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.climate.Sun;
import org.kindgirdle.core.house.HouseRules;

/** What must hold of heat and time whatever the species and the weather. */
class ProgressPropertiesTest {

    private static final int CASES = 300;

    static Stream<Random> seeds() {
        return IntStream.range(0, CASES).mapToObj(seed -> new Random(9_000_017L * seed));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void a_warmer_day_below_the_optimum_never_lowers_progress(Random random) {
        CardinalTemperatures cardinals = cardinals(random);
        Sun sun = Sun.over(random.nextDouble() * 120 - 60, 1 + random.nextInt(365));
        Exposure exposure = Exposure.values()[random.nextInt(3)];
        Cover cover = Cover.values()[random.nextInt(4)];
        double min = cardinals.baseC() - 10 + random.nextDouble() * 20;
        double max = min + random.nextDouble() * 12;
        double warmer = random.nextDouble() * 3;
        BallWarmth cool = ball(min, max, sun, exposure, cover);
        BallWarmth warm = ball(min + warmer, max + warmer, sun, exposure, cover);
        if (warm.maxC() <= cardinals.optimumC()) {
            assertThat(cardinals.thermalDays(warm)).isGreaterThanOrEqualTo(cardinals.thermalDays(cool));
        }
        assertThat(cardinals.thermalDays(cool)).isBetween(0.0, 1.0);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void the_chance_of_ready_never_falls_as_days_pass_with_no_look(Random random) {
        PlaceClimate climate = climate(random);
        CardinalTemperatures cardinals = cardinals(random);
        LocalDate set = LocalDate.of(2026, 1 + random.nextInt(12), 1 + random.nextInt(28));
        ThermalSums sums = new ThermalSums(
                HouseRules.SHIPPED,
                climate,
                cardinals,
                Exposure.values()[random.nextInt(3)],
                Cover.values()[random.nextInt(4)],
                random.nextBoolean() ? new DaysOfYear(310, 95) : null,
                set,
                set);
        TimeToReady ready = looked(random, 10 + random.nextDouble() * 120, .05 + random.nextDouble());
        double before = 0;
        double thermalDaysBefore = 0;
        for (int day = 1; day <= ThermalSums.HORIZON_DAYS; day += 7) {
            double thermalDays = sums.between(set, set.plusDays(day));
            double p = ready.readyBy(thermalDays);
            assertThat(thermalDays).isGreaterThanOrEqualTo(thermalDaysBefore);
            assertThat(p).isBetween(before, 1.0);
            before = p;
            thermalDaysBefore = thermalDays;
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void a_wider_spread_never_narrows_the_dates(Random random) {
        double d50 = 10 + random.nextDouble() * 120;
        double sigma = .05 + random.nextDouble();
        double wider = sigma + random.nextDouble();
        TimeToReady narrow = TimeToReady.prior(d50, sigma);
        TimeToReady wide = TimeToReady.prior(d50, wider);
        assertThat(wide.quantile(.1)).isLessThanOrEqualTo(narrow.quantile(.1));
        assertThat(wide.quantile(.5)).isCloseTo(narrow.quantile(.5), within(1e-9));
        assertThat(wide.quantile(.9)).isGreaterThanOrEqualTo(narrow.quantile(.9));
        LocalDate set = LocalDate.of(2026, 1 + random.nextInt(12), 1 + random.nextInt(28));
        ThermalSums sums = new ThermalSums(
                HouseRules.SHIPPED, climate(random), cardinals(random), Exposure.PART, Cover.FOIL, null, set, set);
        assertThat(spreadDays(sums, set, wide)).isGreaterThanOrEqualTo(spreadDays(sums, set, narrow));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void quantiles_rise_and_are_undone_by_the_probability(Random random) {
        TimeToReady ready = looked(random, 10 + random.nextDouble() * 120, .05 + random.nextDouble());
        double before = 0;
        for (double p = .01; p < 1; p += .07) {
            double quantile = ready.quantile(p);
            assertThat(quantile).isGreaterThanOrEqualTo(before);
            assertThat(ready.fullBy(quantile)).isGreaterThanOrEqualTo(p - 1e-6);
            before = quantile;
        }
        assertThat(ready.readyBy(before)).isLessThanOrEqualTo(ready.roots());
    }

    /** Days between the tenth and the ninetieth of a hundred; beyond the horizon it is as long as that. */
    private static long spreadDays(ThermalSums sums, LocalDate set, TimeToReady ready) {
        LocalDate end = set.plusDays(ThermalSums.HORIZON_DAYS);
        LocalDate q10 = sums.firstDayReaching(set, ready.quantile(.1)).orElse(end);
        LocalDate q90 = sums.firstDayReaching(set, ready.quantile(.9)).orElse(end);
        return ChronoUnit.DAYS.between(q10, q90) + (q90.equals(end) ? ThermalSums.HORIZON_DAYS : 0);
    }

    private static TimeToReady looked(Random random, double d50, double sigma) {
        List<StageSeen> seen = new ArrayList<>();
        double thermalDays = 0;
        for (int look = random.nextInt(4); look > 0; look--) {
            thermalDays += random.nextDouble() * d50 / 2;
            RootStage stage = RootStage.values()[random.nextInt(5)];
            seen.add(new StageSeen(stage, thermalDays));
        }
        return TimeToReady.after(HouseRules.SHIPPED, LookNoise.of(HouseRules.SHIPPED), d50, sigma, .8, seen);
    }

    private static BallWarmth ball(double min, double max, Sun sun, Exposure exposure, Cover cover) {
        return BallWarmth.of(HouseRules.SHIPPED, new DayTemperatures(min, max), sun, exposure, cover);
    }

    private static CardinalTemperatures cardinals(Random random) {
        double base = random.nextDouble() * 12;
        double optimum = base + 10 + random.nextDouble() * 10;
        return new CardinalTemperatures(base, optimum, optimum + 5 + random.nextDouble() * 10);
    }

    private static PlaceClimate climate(Random random) {
        double mean = 2 + random.nextDouble() * 22;
        double swing = random.nextDouble() * 14;
        double turn = random.nextBoolean() ? 0 : 6;
        List<Double> min = new ArrayList<>();
        List<Double> max = new ArrayList<>();
        for (int month = 0; month < 12; month++) {
            double monthly = mean - swing * Math.cos(2 * Math.PI * (month + turn) / 12);
            min.add(monthly - 5);
            max.add(monthly + 5);
        }
        return new PlaceClimate(
                random.nextDouble() * 120 - 60,
                new MonthlyNormals(Collections.unmodifiableList(min), max),
                null,
                -5,
                1,
                Map.of());
    }
}
