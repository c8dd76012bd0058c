package org.kindgirdle.core.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.core.ProfileBuilder;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.Method;

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

    /** Line 7 of the rules that said something wrong: what was seen of the leaves overrules what is expected. */
    @Test
    void leaves_that_were_seen_to_come_and_go_overrule_the_expected_days() {
        SpeciesProfile tree = species(Habit.DECIDUOUS, -25);
        DaysOfYear expected = Phenology.leafless(RULES, temperate(-4), tree).orElseThrow();
        assertThat(seen(temperate(-4), tree, null, 280)).isEqualTo(new DaysOfYear(280, expected.to()));
        assertThat(seen(temperate(-4), tree, 100, null)).isEqualTo(new DaysOfYear(expected.from(), 100));
        assertThat(seen(temperate(-4), tree, 100, 280)).isEqualTo(new DaysOfYear(280, 100));
        // too warm to expect a bare day: it dropped its leaves all the same, and rests for 60 days
        assertThat(seen(steady(20), tree, null, 40)).isEqualTo(new DaysOfYear(40, 100));
        assertThat(seen(steady(20), tree, 100, null)).isEqualTo(new DaysOfYear(40, 100));
        assertThat(seen(steady(20), tree, null, 340)).isEqualTo(new DaysOfYear(340, 35));
        // seen to fall when spring had just begun: it rests, and is not bare until the next
        assertThat(seen(temperate(-4), tree, null, expected.to() + 5))
                .isEqualTo(new DaysOfYear(expected.to() + 5, expected.to() + 65));
        // an evergreen has none, whatever was written down
        assertThat(Phenology.leafless(RULES, temperate(-4), species(Habit.EVERGREEN, -25), new SeenLeaf(100, 280)))
                .isEmpty();
        assertThatThrownBy(() -> new SeenLeaf(0, null)).isInstanceOf(IllegalArgumentException.class);
        Seasons seasons = Seasons.of(RULES, temperate(-4), tree, new SeenLeaf(null, 280));
        assertThat(seasons.isLeafless(LocalDate.of(2026, 10, 6))).isFalse();
        assertThat(seasons.isLeafless(LocalDate.of(2026, 10, 7))).isTrue();
    }

    private static DaysOfYear seen(PlaceClimate climate, SpeciesProfile tree, Integer out, Integer fall) {
        return Phenology.leafless(RULES, climate, tree, new SeenLeaf(out, fall)).orElseThrow();
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

    /** The base is 5 C: growth begins above 8 and stops below 6. */
    @ParameterizedTest
    @CsvSource({
        // the week before, this week, whether it grows
        "4, 8.1, true",
        "4, 8.0, false",
        "4, 6.5, false",
        "12, 6.5, true",
        "12, 6.0, true",
        "12, 5.9, false"
    })
    void between_beginning_and_end_growth_stays_as_it_was(double beforeC, double meanC, boolean grows) {
        Map<LocalDate, DayTemperatures> days = new HashMap<>();
        for (int back = 0; back < 21; back++) {
            double day = back < 7 ? meanC : beforeC;
            days.put(DAY.minusDays(back), new DayTemperatures(day, day));
        }
        PlaceClimate climate = new PlaceClimate(52, normals(12, 18), null, -4, 1, days);
        SpeciesProfile species = species(Habit.EVERGREEN, -25);
        assertThat(Seasons.expected(RULES, climate, species).isGrowing(DAY)).isEqualTo(grows);
    }

    /** By the normals growth stops in November and begins in March. */
    @Test
    void in_autumn_growth_stops_once_and_in_spring_it_begins_once() {
        SpeciesProfile species = species(Habit.DECIDUOUS, -25);
        LocalDate cold = LocalDate.of(2026, 10, 25);
        assertThat(growing(species, Map.of()).isGrowing(cold)).isTrue();
        Seasons early = growing(species, week(cold, 4));
        assertThat(early.isGrowing(cold)).isFalse();
        Map<LocalDate, DayTemperatures> coldThenWarm = new HashMap<>(week(cold, 4));
        coldThenWarm.putAll(week(cold.plusDays(12), 16));
        assertThat(growing(species, coldThenWarm).isGrowing(cold.plusDays(12)))
                .as("a warm week after it")
                .isFalse();
        assertThat(growing(species, week(LocalDate.of(2026, 7, 10), 4)).isGrowing(LocalDate.of(2026, 7, 10)))
                .as("a cold week in summer")
                .isTrue();
        assertThat(growing(species, week(LocalDate.of(2026, 1, 10), 16)).isGrowing(LocalDate.of(2026, 1, 10)))
                .as("a warm week in winter")
                .isFalse();
        Map<LocalDate, DayTemperatures> spring = new HashMap<>(week(LocalDate.of(2026, 3, 14), 15));
        spring.putAll(week(LocalDate.of(2026, 3, 24), 2));
        assertThat(growing(species, spring).isGrowing(LocalDate.of(2026, 3, 14)))
                .isTrue();
        assertThat(growing(species, spring).isGrowing(LocalDate.of(2026, 3, 24)))
                .as("a cold week after the spring's first warm one")
                .isTrue();
    }

    @Test
    void growth_may_stop_any_day_in_the_weeks_before_its_end_and_where_it_has_none_in_the_cool_ones() {
        Seasons once = growing(species(Habit.DECIDUOUS, -25), Map.of());
        LocalDate usual = LocalDate.of(2026, 11, 1);
        assertThat(once.growthMayStop(LocalDate.of(2026, 7, 1)).orElseThrow())
                .isBetween(usual.minusDays(55), usual.minusDays(25));

        // the base is 5 C: at a mean of 8 C nothing stops by the normals, and any cold week would
        MonthlyNormals mild = new MonthlyNormals(
                List.of(4.0, 5.0, 8.0, 12.0, 17.0, 21.0, 22.0, 22.0, 19.0, 13.0, 8.0, 5.0),
                List.of(13.0, 15.0, 21.0, 25.0, 29.0, 32.0, 33.0, 33.0, 31.0, 26.0, 20.0, 15.0));
        Seasons never = Seasons.expected(
                RULES, new PlaceClimate(30, mild, null, -4, 1, Map.of()), species(Habit.EVERGREEN, -25));
        LocalDate january = LocalDate.of(2027, 1, 10);
        assertThat(never.growthMayStop(january).orElseThrow())
                .isBetween(LocalDate.of(2026, 12, 1), LocalDate.of(2027, 1, 9));
        assertThat(never.growthMayStop(LocalDate.of(2026, 10, 1))).isEmpty();
        assertThat(never.growthMayStop(LocalDate.of(2027, 4, 1))).isEmpty();
    }

    private static Seasons growing(SpeciesProfile species, Map<LocalDate, DayTemperatures> known) {
        MonthlyNormals normals = new MonthlyNormals(
                List.of(-1.0, 0.0, 2.0, 5.0, 8.0, 11.0, 13.0, 13.0, 10.0, 6.0, 3.0, 0.0),
                List.of(3.0, 5.0, 9.0, 13.0, 17.0, 20.0, 22.0, 22.0, 18.0, 13.0, 7.0, 4.0));
        return Seasons.expected(RULES, new PlaceClimate(50, normals, null, -4, 1, known), species);
    }

    /** The seven days that end with one. */
    private static Map<LocalDate, DayTemperatures> week(LocalDate end, double meanC) {
        Map<LocalDate, DayTemperatures> days = new HashMap<>();
        for (int back = 0; back < 7; back++) {
            days.put(end.minusDays(back), new DayTemperatures(meanC, meanC));
        }
        return days;
    }

    @Test
    void the_winter_is_ending_until_growth_begins() {
        Seasons seasons = growing(species(Habit.DECIDUOUS, -25), Map.of());
        assertThat(seasons.isWinterEnding(LocalDate.of(2026, 12, 20))).isFalse();
        assertThat(seasons.isWinterEnding(LocalDate.of(2027, 2, 20))).isTrue();
        assertThat(seasons.isWinterEnding(LocalDate.of(2027, 6, 1))).isFalse();
    }

    @Test
    void where_winters_are_mild_leaves_fall_by_the_middle_of_the_year_and_rest_at_least_sixty_days() {
        // coldest mean 9.5 C, base 5: no day is down to 8, as at 37 S on a coast
        DaysOfYear mild = Phenology.leafless(RULES, mild(9.5, 19.5), species(Habit.DECIDUOUS, -25))
                .orElseThrow();
        assertThat(mild(9.5, 19.5).normalOn(mild.from()).meanC()).isLessThanOrEqualTo(14.5);
        assertThat(DaysOfYear.from(mild.from(), mild.to())).isGreaterThanOrEqualTo(60);
        // where the coldest mean is 15 C nothing tells a tree to drop its leaves
        assertThat(Phenology.leafless(RULES, mild(15, 26), species(Habit.DECIDUOUS, -25)))
                .isEmpty();
    }

    @Test
    void the_winter_ends_from_the_coldest_day_to_the_late_last_frost() {
        Seasons seasons = Seasons.expected(RULES, frosty(), species(Habit.DECIDUOUS, -25));
        assertThat(seasons.isLastFrostAhead(LocalDate.of(2026, 12, 20))).isFalse();
        assertThat(seasons.isLastFrostAhead(LocalDate.of(2027, 2, 20))).isTrue();
        assertThat(seasons.lastFrostAhead(LocalDate.of(2027, 2, 20))).contains(LocalDate.of(2027, 5, 6));
        assertThat(seasons.isLastFrostAhead(LocalDate.of(2027, 5, 5))).isTrue();
        assertThat(seasons.isLastFrostAhead(LocalDate.of(2027, 5, 6))).isFalse();
        assertThat(Seasons.expected(RULES, steady(20), species(Habit.EVERGREEN, 5))
                        .isLastFrostAhead(DAY))
                .isFalse();
    }

    @Test
    void hard_frost_is_while_nights_kill_roots_and_until_the_winter_ends() {
        Seasons seasons = Seasons.expected(RULES, frosty(), species(Habit.DECIDUOUS, -25));
        // the normal minimum is -7 C in mid January, -3.5 in mid December
        assertThat(seasons.isHardFrost(LocalDate.of(2027, 1, 15), -5)).isTrue();
        assertThat(seasons.isHardFrost(LocalDate.of(2026, 11, 20), -5)).isFalse();
        assertThat(seasons.isHardFrost(LocalDate.of(2027, 4, 1), -5)).isFalse();
        assertThat(seasons.isHardFrost(LocalDate.of(2027, 1, 15), -8)).isFalse();
        assertThat(seasons.hasDormantRoom(-5)).isTrue();
        assertThat(seasons.hasDormantRoom(5)).isFalse();
    }

    @Test
    void a_ball_full_before_growth_began_has_stood_its_winter() {
        Seasons seasons = Seasons.expected(RULES, frosty(), species(Habit.DECIDUOUS, -25));
        LocalDate ring = LocalDate.of(2026, 5, 28);
        LocalDate may = LocalDate.of(2027, 5, 20);
        assertThat(seasons.hasWintered(ring, LocalDate.of(2026, 9, 20), may)).isTrue();
        // full in September: the winter is still to come
        assertThat(seasons.hasWintered(ring, LocalDate.of(2026, 9, 20), LocalDate.of(2027, 1, 20)))
                .isFalse();
        // first seen full in spring, with a ring of the year before, counts as before; with one of this spring not,
        // unless it would be held till the next for more than 330 days
        LocalDate spring = LocalDate.of(2027, 2, 20);
        LocalDate june = LocalDate.of(2027, 6, 10);
        assertThat(seasons.hasWintered(ring, LocalDate.of(2027, 4, 20), may)).isTrue();
        assertThat(seasons.hasWintered(spring, LocalDate.of(2027, 5, 20), june)).isFalse();
        assertThat(seasons.hasWintered(spring, LocalDate.of(2027, 4, 20), june)).isTrue();
        assertThat(seasons.hasWintered(ring, LocalDate.of(2027, 8, 20), LocalDate.of(2027, 9, 20)))
                .isFalse();
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
        double bears = Hardiness.rootKillC(RULES, Method.AIR, stage);
        assertThat(Hardiness.isHardy(temperate(lowC), species(Habit.DECIDUOUS, hardyToC), bears))
                .isEqualTo(hardy);
    }

    @Test
    void roots_in_the_ground_bear_what_the_ground_bears() {
        double ground = Hardiness.rootKillC(RULES, Method.GROUND, RootStage.ROOTED);
        assertThat(ground).isEqualTo(-15);
        assertThat(Hardiness.rootKillC(RULES, Method.POT_STOOL, RootStage.MATURE))
                .isEqualTo(-15);
        assertThat(Hardiness.isHardy(temperate(-12), species(Habit.DECIDUOUS, -25), ground))
                .isTrue();
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
        // a profile is unsure of its median, and every record of one's own makes it surer
        assertThat(RootingTime.ofProfile(species).spread(RULES))
                .isCloseTo(Math.sqrt(.25 * .25 + .25 * .25 + .12 * .12), within(1e-12));
        assertThat(new RootingTime(38, .25, 1000).spread(RULES))
                .isCloseTo(Math.sqrt(.25 * .25 + .12 * .12), within(1e-3));
        assertThat(learned.prior(RULES)).isEqualTo(TimeToReady.prior(34, learned.spread(RULES)));
    }

    @Test
    void two_times_to_ready_are_the_same_if_all_of_them_is() {
        StageSeen seen = new StageSeen(RootStage.INITIALS, 22);
        TimeToReady one = after(38, .25, seen);
        assertThat(one)
                .isEqualTo(after(38, .25, seen))
                .hasSameHashCodeAs(after(38, .25, seen))
                .isNotEqualTo(after(39, .25, seen))
                .isNotEqualTo(after(38, .26, seen))
                .isNotEqualTo(TimeToReady.prior(38, .25))
                .isNotEqualTo(after(38, .25, new StageSeen(RootStage.ROOTED, 32)))
                .isNotEqualTo(null);
    }

    private static TimeToReady after(double d50, double spread, StageSeen... looks) {
        return TimeToReady.after(RULES, LookNoise.of(RULES), d50, spread, .8, List.of(looks));
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

    /** Frosts from October to May, nights of -7 C in January. */
    private static PlaceClimate frosty() {
        return new PlaceClimate(
                47,
                new MonthlyNormals(
                        List.of(-7.0, -5.0, -1.0, 4.0, 9.0, 12.0, 14.0, 13.0, 9.0, 5.0, 0.0, -3.5),
                        List.of(1.0, 3.0, 9.0, 15.0, 20.0, 23.0, 26.0, 25.0, 20.0, 14.0, 7.0, 2.0)),
                new FrostCalendar(MonthDay.of(10, 28), MonthDay.of(10, 12), MonthDay.of(4, 20), MonthDay.of(5, 6)),
                -12,
                1,
                Map.of());
    }

    /** Southern: coldest in July. */
    private static PlaceClimate mild(double coldestC, double warmestC) {
        List<Double> means = new ArrayList<>();
        for (int month = 0; month < 12; month++) {
            means.add((coldestC + warmestC) / 2 + (warmestC - coldestC) / 2 * Math.cos(2 * Math.PI * month / 12));
        }
        return new PlaceClimate(
                -37,
                new MonthlyNormals(
                        means.stream().map(mean -> mean - 5).toList(),
                        means.stream().map(mean -> mean + 5).toList()),
                null,
                0,
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
