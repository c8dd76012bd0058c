package org.kindgirdle.core.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.core.ProfileBuilder;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;

class SeasonsTest {

    private static final HouseRules RULES = HouseRules.SHIPPED;
    private static final LocalDate DAY = LocalDate.of(2026, 7, 10);

    @Test
    void leaves_come_and_go_with_the_mean_above_the_base() {
        DaysOfYear leafless = Phenology.leafless(RULES, temperate(-4), species(Habit.DECIDUOUS, -25))
                .orElseThrow();
        // the mean passes 10 C about the first of May and is down to 8 C late in October
        assertThat(leafless.to()).isBetween(115, 130);
        assertThat(leafless.from()).isBetween(290, 310);
        DaysOfYear earlier = Phenology.leafless(
                        RULES.with("phenology.leaf-out-above-base", 3), temperate(-4), species(Habit.DECIDUOUS, -25))
                .orElseThrow();
        assertThat(earlier.to()).isLessThan(leafless.to());
        DaysOfYear later = Phenology.leafless(
                        RULES.with("phenology.leaf-fall-above-base", 1), temperate(-4), species(Habit.DECIDUOUS, -25))
                .orElseThrow();
        assertThat(later.from()).isGreaterThan(leafless.from());
        assertThat(Phenology.leafless(RULES, temperate(-4), species(Habit.EVERGREEN, -25)))
                .isEmpty();
        assertThat(Phenology.leafless(RULES, steady(20), species(Habit.DECIDUOUS, -25)))
                .isEmpty();
    }

    @Test
    void days_of_the_year_begin_with_the_first_and_end_before_the_last() {
        DaysOfYear winter = new DaysOfYear(310, 100);
        assertThat(List.of(winter.includes(309), winter.includes(310), winter.includes(99), winter.includes(100)))
                .containsExactly(false, true, true, false);
        DaysOfYear southern = new DaysOfYear(120, 280);
        assertThat(List.of(
                        southern.includes(119), southern.includes(120), southern.includes(279), southern.includes(280)))
                .containsExactly(false, true, true, false);
    }

    @ParameterizedTest
    @CsvSource({"7.0, false", "7.01, true", "-3, false", "20, true"})
    void it_grows_while_the_week_is_warmer_than_the_base_and_two_degrees(double meanC, boolean grows) {
        Map<LocalDate, DayTemperatures> week = new HashMap<>();
        for (int back = 0; back < 7; back++) {
            week.put(DAY.minusDays(back), new DayTemperatures(meanC, meanC));
        }
        PlaceClimate climate = new PlaceClimate(52, normals(12, 18), null, -4, 1, week);
        assertThat(Phenology.isGrowing(RULES, climate, species(Habit.EVERGREEN, -25), DAY))
                .isEqualTo(grows);
        assertThat(Phenology.isGrowing(
                        RULES.with("phenology.growing-above-base", 10), climate, species(Habit.EVERGREEN, -25), DAY))
                .isEqualTo(meanC > 15);
    }

    @ParameterizedTest
    @CsvSource({
        // lowest night, hardiness of the top, stage, hardy
        "-5, -25, FILLED, true",
        "-5.1, -25, FILLED, false",
        "-8, -25, MATURE, true",
        "-8.1, -25, MATURE, false",
        "-4, -4, FILLED, true",
        "-4, -3.9, FILLED, false"
    })
    void top_and_roots_must_both_stand_the_winter(double lowC, double hardyToC, RootStage stage, boolean hardy) {
        assertThat(Hardiness.isHardy(RULES, temperate(lowC), species(Habit.DECIDUOUS, hardyToC), stage))
                .isEqualTo(hardy);
    }

    @Test
    void a_stage_begins_at_its_share_and_the_next_ends_it() {
        assertThat(RootStage.at(RULES, .2999)).isEqualTo(RootStage.NONE);
        assertThat(RootStage.at(RULES, .30)).isEqualTo(RootStage.CALLUS);
        assertThat(RootStage.at(RULES, .80)).isEqualTo(RootStage.ROOTED);
        assertThat(RootStage.at(RULES, 1)).isEqualTo(RootStage.FILLED);
        assertThat(RootStage.at(RULES, 9)).isEqualTo(RootStage.MATURE);
        for (RootStage stage : RootStage.values()) {
            assertThat(RootStage.at(RULES, stage.beginsAt(RULES))).isEqualTo(stage);
            assertThat(stage.endsAt(RULES)).isGreaterThan(stage.beginsAt(RULES));
        }
        HouseRules early = RULES.with("stage.ROOTED.begins", .7);
        assertThat(RootStage.at(early, .75)).isEqualTo(RootStage.ROOTED);
    }

    @Test
    void a_time_says_whether_it_was_learned() {
        SpeciesProfile species = species(Habit.DECIDUOUS, -25);
        assertThat(RootingTime.ofProfile(species)).isEqualTo(new RootingTime(38, .25, 0));
        assertThat(RootingTime.ofProfile(species).isLearned()).isFalse();
        RootingTime learned = new RootingTime(34, .2, 1);
        assertThat(learned.isLearned()).isTrue();
        assertThat(learned.prior()).isEqualTo(TimeToReady.prior(34, .2));
    }

    @Test
    void two_times_to_ready_are_the_same_if_all_of_them_is() {
        StageSeen seen = StageSeen.of(RULES, RootStage.INITIALS, 22);
        TimeToReady one = TimeToReady.after(38, .25, List.of(seen));
        assertThat(one)
                .isEqualTo(TimeToReady.after(38, .25, List.of(seen)))
                .hasSameHashCodeAs(TimeToReady.after(38, .25, List.of(seen)))
                .isNotEqualTo(TimeToReady.after(39, .25, List.of(seen)))
                .isNotEqualTo(TimeToReady.after(38, .26, List.of(seen)))
                .isNotEqualTo(TimeToReady.prior(38, .25))
                .isNotEqualTo(TimeToReady.after(38, .25, List.of(StageSeen.of(RULES, RootStage.ROOTED, 32))))
                .isNotEqualTo(null)
                .hasToString("lognormal(38.0, 0.25) in (27.5, 40.0]");
        StageSeen against = StageSeen.of(RULES, RootStage.NONE, 300);
        TimeToReady contradicted = TimeToReady.after(38, .25, List.of(against, seen));
        assertThat(contradicted.looksAgree()).isFalse();
        assertThat(contradicted).isNotEqualTo(one);
        assertThat(contradicted.low()).isEqualTo(one.low());
    }

    @Test
    void base_optimum_and_ceiling_must_rise() {
        assertThatThrownBy(() -> new CardinalTemperatures(22, 22, 36)).hasMessageContaining("22.0, 22.0, 36.0");
        assertThatThrownBy(() -> new CardinalTemperatures(5, 36, 36)).hasMessageContaining("5.0, 36.0, 36.0");
        CardinalTemperatures quince = new CardinalTemperatures(5, 22, 60);
        assertThat(quince.rateAt(5)).isZero();
        assertThat(quince.rateAt(60)).isZero();
        assertThat(quince.rateAt(22)).isEqualTo(1);
    }

    private static PlaceClimate temperate(double winterLowC) {
        return new PlaceClimate(
                50,
                new MonthlyNormals(
                        List.of(-1.0, 0.0, 2.0, 5.0, 8.0, 11.0, 13.0, 13.0, 10.0, 6.0, 3.0, 0.0),
                        List.of(3.0, 5.0, 9.0, 13.0, 17.0, 20.0, 22.0, 22.0, 18.0, 13.0, 7.0, 4.0)),
                null,
                winterLowC,
                1,
                Map.of());
    }

    private static PlaceClimate steady(double meanC) {
        return new PlaceClimate(10, normals(meanC - 3, meanC + 3), null, 10, 1, Map.of());
    }

    private static MonthlyNormals normals(double minC, double maxC) {
        return new MonthlyNormals(Collections.nCopies(12, minC), Collections.nCopies(12, maxC));
    }

    private static SpeciesProfile species(Habit habit, double hardyToC) {
        return ProfileBuilder.quince().habit(habit).hardyTo(hardyToC).build();
    }
}
