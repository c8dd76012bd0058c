package org.kindgirdle.core.harden;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.Verdict;

class HardenRulesTest {

    private static final HouseRules RULES = HouseRules.SHIPPED;
    private static final LocalDate SEVERED = LocalDate.of(2026, 6, 1);
    private static final FrostCalendar FROSTS =
            new FrostCalendar(MonthDay.of(11, 8), MonthDay.of(10, 20), MonthDay.of(4, 14), MonthDay.of(5, 6));

    @ParameterizedTest
    @CsvSource({
        "IN_LEAF, TENT, 10",
        "IN_LEAF, SHADE, 14",
        "IN_LEAF, HALF, 10",
        "IN_LEAF, LIGHT, 7",
        "LONG_SHADE, SHADE, 180",
        "MOSS_TRAY, SHADE, 100",
        "DORMANT, TENT, 10"
    })
    void a_rung_is_left_after_the_days_of_its_ladder_and_not_before(Ladder ladder, Rung rung, int days) {
        PlantState plant = plant(ladder, rung, SEVERED);
        LocalDate due = SEVERED.plusDays(days);
        HardenVerdict early = inHouse(plant, null, due.minusDays(1));
        assertThat(early.step()).isEqualTo(PlantStep.STAY);
        assertThat(early.lacking()).containsExactly(HardenRule.DAYS_ON_RUNG);
        assertThat(early.from()).isEqualTo(due);
        HardenVerdict now = inHouse(plant, null, due);
        assertThat(now.step()).isEqualTo(PlantStep.STEP_UP);
        assertThat(now.to()).isEqualTo(rung.up().orElseThrow());
        assertThat(now.lacking()).isEmpty();
        assertThat(now.verdict().decidedBy()).isNull();
    }

    @Test
    void a_plant_that_is_not_potted_is_potted() {
        PlantState bare = new PlantState(SEVERED, false, null, Ladder.IN_LEAF, Rung.TENT, SEVERED, List.of());
        HardenVerdict verdict = decide(bare, SEVERED.plusDays(3));
        assertThat(verdict.step()).isEqualTo(PlantStep.POT_UP);
        assertThat(verdict.from()).isEqualTo(SEVERED);
        assertThat(verdict.verdict().facts()).containsExactly(new Fact(HardenFact.POTTED, false));
    }

    @Test
    void after_a_droop_it_goes_down_a_rung_and_then_must_stand_five_days() {
        LocalDate drooped = SEVERED.plusDays(12);
        PlantState droops =
                plant(Ladder.IN_LEAF, Rung.HALF, SEVERED.plusDays(2)).plus(seen(drooped, PlantSign.CURL));
        HardenVerdict back = decide(droops, drooped);
        assertThat(back.step()).isEqualTo(PlantStep.STEP_BACK);
        assertThat(back.to()).isEqualTo(Rung.SHADE);
        assertThat(back.from()).isEqualTo(drooped);
        assertThat(HardenRules.leafOffShare(RULES)).isEqualTo(.25);

        PlantState recovered = droops.plus(seen(drooped.plusDays(1), PlantSign.TURGID));
        HardenVerdict held = decide(recovered, drooped.plusDays(4));
        assertThat(held.lacking()).containsExactly(HardenRule.CALM_DAYS);
        assertThat(held.from()).isEqualTo(drooped.plusDays(5));
        assertThat(decide(recovered, drooped.plusDays(5)).step()).isEqualTo(PlantStep.STEP_UP);
    }

    @Test
    void what_droops_in_the_tent_is_opened() {
        PlantState droops = plant(Ladder.IN_LEAF, Rung.TENT, SEVERED).plus(seen(SEVERED.plusDays(2), PlantSign.DROOP));
        assertThat(decide(droops, SEVERED.plusDays(2)).step()).isEqualTo(PlantStep.OPEN_AND_LOOK);
    }

    @Test
    void a_droop_before_it_was_moved_down_does_not_move_it_again() {
        LocalDate drooped = SEVERED.plusDays(12);
        PlantState.Seen droop = seen(drooped, PlantSign.DROOP);
        for (LocalDate moved : List.of(drooped, drooped.plusDays(1))) {
            PlantState down = new PlantState(SEVERED, true, null, Ladder.IN_LEAF, Rung.SHADE, moved, List.of(droop), 1);
            assertThat(decide(down, drooped.plusDays(1)).step())
                    .as("moved down on %s", moved)
                    .isEqualTo(PlantStep.STAY);
        }
    }

    @Test
    void what_drooped_when_it_was_last_seen_is_not_let_go() {
        LocalDate open = LocalDate.of(2026, 7, 1);
        PlantState.Seen grown = seen(open, PlantSign.NEW_GROWTH, PlantSign.ROOTS_AT_EDGE);
        PlantState.Seen droop = seen(open.minusDays(20), PlantSign.DROOP);
        PlantState calm =
                new PlantState(SEVERED, true, null, Ladder.IN_LEAF, Rung.OPEN, open, List.of(droop, grown), 1);
        PlantState unseen =
                new PlantState(SEVERED, true, null, Ladder.IN_LEAF, Rung.OPEN, open, List.of(grown, droop), 2);
        assertThat(decide(calm, open.plusDays(20)).step()).isEqualTo(PlantStep.RELEASE);
        assertThat(decide(unseen, open.plusDays(20)).step()).isEqualTo(PlantStep.STAY);
    }

    @Test
    void wilted_two_days_running_or_mouldy_it_is_opened() {
        PlantState wilts = plant(Ladder.IN_LEAF, Rung.HALF, SEVERED)
                .plus(seen(SEVERED.plusDays(11), PlantSign.DROOP))
                .plus(seen(SEVERED.plusDays(12), PlantSign.DROOP));
        HardenVerdict verdict = decide(wilts, SEVERED.plusDays(12));
        assertThat(verdict.step()).isEqualTo(PlantStep.OPEN_AND_LOOK);
        assertThat(verdict.verdict().decidedBy()).isEqualTo(HardenRule.WILTED_TWO_DAYS);
        PlantState skipped = plant(Ladder.IN_LEAF, Rung.HALF, SEVERED)
                .plus(seen(SEVERED.plusDays(9), PlantSign.DROOP))
                .plus(seen(SEVERED.plusDays(11), PlantSign.DROOP));
        assertThat(decide(skipped, SEVERED.plusDays(11)).step()).isEqualTo(PlantStep.STEP_BACK);
        PlantState mouldy = plant(Ladder.IN_LEAF, Rung.OPEN, SEVERED).plus(seen(SEVERED, PlantSign.MOULD));
        assertThat(decide(mouldy, SEVERED).verdict().decidedBy()).isEqualTo(HardenRule.MOULD);
    }

    @ParameterizedTest
    @CsvSource({"30, 8, true", "30.1, 8, false", "30, 8.1, false", "20, , true"})
    void no_step_up_before_a_hot_or_a_windy_day(double tomorrowC, @Nullable Double windMs, boolean may) {
        LocalDate due = SEVERED.plusDays(10);
        Map<LocalDate, Double> wind = new HashMap<>();
        if (windMs != null) {
            wind.put(due.plusDays(1), windMs);
        }
        PlaceClimate climate = climate(FROSTS, Map.of(due.plusDays(1), new DayTemperatures(12, tomorrowC)), wind);
        HardenVerdict verdict =
                HardenRules.decide(RULES, plant(Ladder.IN_LEAF, Rung.TENT, SEVERED), new Standing(climate, null), due);
        assertThat(verdict.step()).isEqualTo(may ? PlantStep.STEP_UP : PlantStep.STAY);
        if (!may) {
            assertThat(verdict.lacking()).containsExactly(tomorrowC > 30 ? HardenRule.COOL_DAY : HardenRule.CALM_AIR);
        }
    }

    @Test
    void dormant_it_stays_and_the_ladder_begins_with_the_leaves() {
        DaysOfYear leafless = new DaysOfYear(310, 100);
        PlantState plant = plant(Ladder.DORMANT, Rung.TENT, LocalDate.of(2026, 12, 1));
        HardenVerdict winter = inHouse(plant, leafless, LocalDate.of(2027, 1, 15));
        assertThat(winter.step()).isEqualTo(PlantStep.STAY_DORMANT);
        assertThat(winter.from()).isEqualTo(LocalDate.ofYearDay(2027, 100));
        assertThat(inHouse(plant, leafless, LocalDate.ofYearDay(2027, 109)).lacking())
                .containsExactly(HardenRule.DAYS_ON_RUNG);
        assertThat(inHouse(plant, leafless, LocalDate.ofYearDay(2027, 110)).step())
                .isEqualTo(PlantStep.STEP_UP);
    }

    @Test
    void buds_that_were_seen_to_break_indoors_end_the_sleep_before_the_trees_outside_wake() {
        DaysOfYear leafless = new DaysOfYear(310, 100);
        LocalDate broke = LocalDate.ofYearDay(2027, 69);
        PlantState asleep = plant(Ladder.DORMANT, Rung.TENT, LocalDate.of(2026, 12, 1))
                .plus(seen(LocalDate.of(2027, 2, 20), PlantSign.TURGID));
        PlantState awake = asleep.plus(seen(broke, PlantSign.NEW_GROWTH));
        HardenVerdict spring = inHouse(awake, leafless, broke);
        assertThat(spring.step()).isEqualTo(PlantStep.STAY);
        assertThat(spring.from()).isEqualTo(broke.plusDays(10));
        assertThat(inHouse(awake, leafless, broke.plusDays(10)).step()).isEqualTo(PlantStep.STEP_UP);
        assertThat(inHouse(awake.plus(seen(broke.plusDays(8), PlantSign.LEAF_DROP)), leafless, broke.plusDays(10))
                        .lacking())
                .as("no autumn any more")
                .containsExactly(HardenRule.LEAF_DROP);

        LocalDate november = LocalDate.of(2027, 11, 20);
        PlantState nextAutumn = awake.plus(seen(november.minusDays(3), PlantSign.LEAF_DROP));
        assertThat(inHouse(nextAutumn, leafless, november).step())
                .as("and falls asleep with the next winter")
                .isEqualTo(PlantStep.STAY_DORMANT);
        LocalDate october = LocalDate.ofYearDay(2027, 290);
        assertThat(inHouse(awake.plus(seen(october, PlantSign.LEAF_DROP)), leafless, october)
                        .lacking())
                .as("leaves that fall in autumn")
                .doesNotContain(HardenRule.LEAF_DROP);

        PlantState lastSummers = plant(Ladder.DORMANT, Rung.TENT, LocalDate.of(2026, 12, 1))
                .plus(seen(LocalDate.of(2026, 12, 20), PlantSign.NEW_GROWTH))
                .plus(seen(broke, PlantSign.NEW_GROWTH));
        assertThat(inHouse(lastSummers, leafless, broke).step()).isEqualTo(PlantStep.STAY_DORMANT);
    }

    @Test
    void leaf_that_drops_in_growth_holds_a_plant_five_days_and_in_autumn_does_not() {
        DaysOfYear leafless = new DaysOfYear(310, 100);
        LocalDate dropped = SEVERED.plusDays(9);
        PlantState sheds = plant(Ladder.IN_LEAF, Rung.TENT, SEVERED).plus(seen(dropped, PlantSign.LEAF_DROP));
        HardenVerdict held = decide(sheds, leafless, SEVERED.plusDays(10));
        assertThat(held.step()).isEqualTo(PlantStep.STAY);
        assertThat(held.lacking()).containsExactly(HardenRule.LEAF_DROP);
        assertThat(held.from()).isEqualTo(dropped.plusDays(5));
        assertThat(decide(sheds, leafless, dropped.plusDays(5)).step()).isEqualTo(PlantStep.STEP_UP);
        assertThat(ReleaseTest.of(
                                RULES,
                                sheds,
                                new Standing(climate(FROSTS, Map.of(), Map.of()), leafless),
                                dropped.plusDays(1))
                        .failing())
                .extracting(ReleaseTest.Check::condition)
                .contains(ReleaseTest.Condition.NOT_DROOPING);

        LocalDate october = LocalDate.ofYearDay(2026, 285);
        PlantState autumn = plant(Ladder.IN_LEAF, Rung.TENT, SEVERED).plus(seen(october, PlantSign.LEAF_DROP));
        assertThat(decide(autumn, leafless, october).step()).isEqualTo(PlantStep.STEP_UP);
        // an evergreen has no time for it
        assertThat(decide(autumn, october).lacking()).containsExactly(HardenRule.LEAF_DROP);
    }

    @Test
    void moss_is_left_when_it_is_full_after_three_months_and_at_the_latest_after_four() {
        PlantState inMoss = new PlantState(SEVERED, true, SEVERED, Ladder.MOSS_TRAY, Rung.SHADE, SEVERED, List.of());
        assertThat(decide(inMoss, SEVERED.plusDays(119)).step()).isNotEqualTo(PlantStep.POT_ON);
        assertThat(decide(inMoss, SEVERED.plusDays(120)).step()).isEqualTo(PlantStep.POT_ON);
        PlantState full = inMoss.plus(seen(SEVERED.plusDays(80), PlantSign.ROOTS_AT_EDGE));
        assertThat(decide(full, SEVERED.plusDays(89)).step()).isNotEqualTo(PlantStep.POT_ON);
        assertThat(decide(full, SEVERED.plusDays(90)).verdict().facts())
                .containsExactly(
                        new Fact(HardenFact.DAYS_IN_MOSS, 90),
                        new Fact(HardenFact.MOST_DAYS_IN_MOSS, 120),
                        new Fact(HardenFact.ROOTS_SEEN, true));
    }

    @Test
    void release_wants_roots_growth_no_pests_and_four_weeks_before_frost() {
        PlantState open = plant(Ladder.IN_LEAF, Rung.OPEN, SEVERED);
        LocalDate due = SEVERED.plusDays(7);
        assertThat(decide(open, due).lacking()).containsExactly(HardenRule.ROOTS_AT_EDGE, HardenRule.NEW_GROWTH);
        PlantState grown = open.plus(seen(due, PlantSign.ROOTS_AT_EDGE, PlantSign.NEW_GROWTH, PlantSign.PESTS));
        assertThat(decide(grown, due).lacking()).containsExactly(HardenRule.NO_PESTS);
        PlantState clean = grown.plus(seen(due.plusDays(1), PlantSign.TURGID));
        assertThat(decide(clean, due.plusDays(1)).step()).isEqualTo(PlantStep.RELEASE);
        assertThat(decide(clean, LocalDate.of(2026, 9, 22)).step()).isEqualTo(PlantStep.RELEASE);
        HardenVerdict late = decide(clean, LocalDate.of(2026, 9, 23));
        assertThat(late.step()).isEqualTo(PlantStep.HOLD_UNDER_COVER);
        assertThat(late.verdict().decidedBy()).isEqualTo(HardenRule.FROST_FREE_DAYS);
        PlaceClimate house = climate(null, Map.of(), Map.of());
        assertThat(HardenRules.decide(RULES, clean, new Standing(house, null), LocalDate.of(2026, 9, 23))
                        .step())
                .isEqualTo(PlantStep.RELEASE);
    }

    @Test
    void every_plant_has_one_step_with_every_rule_beside_it() {
        Random random = new Random(7);
        for (int i = 0; i < 3000; i++) {
            PlantState plant = any(random);
            LocalDate day = SEVERED.plusDays(random.nextInt(400));
            DaysOfYear leafless = random.nextBoolean() ? new DaysOfYear(310, 100) : null;
            HardenVerdict verdict = decide(plant, leafless, day);
            assertThat(verdict.verdict().entries())
                    .extracting(Verdict.Entry::rule)
                    .containsExactly(HardenRule.values());
            long deciding = verdict.verdict().entries().stream()
                    .filter(entry -> entry.applied() && entry.rule().decides())
                    .count();
            assertThat(deciding).isLessThanOrEqualTo(1);
            assertThat(verdict.lacking().isEmpty() || deciding == 0).isTrue();
            boolean moves = verdict.step() == PlantStep.STEP_UP || verdict.step() == PlantStep.RELEASE;
            assertThat(verdict.verdict().decidedBy() == null).isEqualTo(moves);
            verdict.verdict().entries().stream()
                    .filter(entry -> entry.outcome() == Verdict.RuleOutcome.NOT_EVALUATED)
                    .forEach(entry -> assertThat(entry.facts()).isEmpty());
        }
    }

    @Test
    void what_is_to_come_comes_on_the_day_that_is_named_and_not_before() {
        Random random = new Random(11);
        int found = 0;
        for (int i = 0; i < 300; i++) {
            PlantState plant = any(random);
            LocalDate today = SEVERED.plusDays(random.nextInt(300));
            Set<PlantSign> supposed = random.nextBoolean()
                    ? Set.of()
                    : Set.of(PlantSign.ROOTS_AT_EDGE, PlantSign.NEW_GROWTH, PlantSign.TURGID);
            PlaceClimate climate = climate(FROSTS, Map.of(), Map.of());
            PlantStep now = HardenRules.decide(RULES, plant, new Standing(climate, null), today)
                    .step();
            Optional<HardenRules.Coming> coming =
                    HardenRules.comes(RULES, plant, new Standing(climate, null), today, supposed);
            PlantState then = supposed.isEmpty() ? plant : plant.plus(new PlantState.Seen(today, supposed));
            if (coming.isEmpty()) {
                continue;
            }
            found++;
            LocalDate on = coming.get().on();
            assertThat(HardenRules.decide(RULES, then, new Standing(climate, null), on)
                            .step())
                    .isEqualTo(coming.get().verdict().step())
                    .isNotEqualTo(now);
            LocalDate first = supposed.isEmpty() ? today.plusDays(1) : today;
            for (LocalDate day = first; day.isBefore(on); day = day.plusDays(1)) {
                assertThat(HardenRules.decide(RULES, then, new Standing(climate, null), day)
                                .step())
                        .isEqualTo(now);
            }
        }
        assertThat(found).isGreaterThan(80);
    }

    @ParameterizedTest
    @EnumSource(Rung.class)
    void rungs_lead_up_to_the_open_and_give_less_shade(Rung rung) {
        rung.up().ifPresent(up -> {
            assertThat(up.down()).contains(rung);
            assertThat(up.shadePercent(RULES)).isLessThan(rung.shadePercent(RULES));
        });
        assertThat(rung.up().isPresent()).isEqualTo(rung != Rung.OPEN);
        assertThat(rung.down().isPresent()).isEqualTo(rung != Rung.TENT);
    }

    private static PlantState any(Random random) {
        Rung rung = Rung.values()[random.nextInt(5)];
        LocalDate since = SEVERED.plusDays(random.nextInt(60));
        List<PlantState.Seen> seen = new ArrayList<>();
        LocalDate day = SEVERED;
        for (int looks = random.nextInt(5); looks > 0; looks--) {
            day = day.plusDays(1 + random.nextInt(9));
            Set<PlantSign> signs = EnumSet.noneOf(PlantSign.class);
            for (PlantSign sign : PlantSign.values()) {
                if (random.nextInt(6) == 0) {
                    signs.add(sign);
                }
            }
            seen.add(new PlantState.Seen(day, signs));
        }
        return new PlantState(
                SEVERED,
                random.nextInt(8) > 0,
                random.nextInt(4) == 0 ? SEVERED : null,
                Ladder.values()[random.nextInt(4)],
                rung,
                since,
                seen);
    }

    private static HardenVerdict decide(PlantState plant, LocalDate today) {
        return decide(plant, null, today);
    }

    private static HardenVerdict decide(PlantState plant, @Nullable DaysOfYear leafless, LocalDate today) {
        return HardenRules.decide(RULES, plant, new Standing(climate(FROSTS, Map.of(), Map.of()), leafless), today);
    }

    /** Where no frost comes. */
    private static HardenVerdict inHouse(PlantState plant, @Nullable DaysOfYear leafless, LocalDate today) {
        return HardenRules.decide(RULES, plant, new Standing(climate(null, Map.of(), Map.of()), leafless), today);
    }

    /** Line 5: "may move up to the open" on the second of November, beside a winter list that said frost-free now. */
    @Test
    void line_5_nothing_moves_up_to_nights_that_are_about_to_freeze() {
        LocalDate since = LocalDate.of(2026, 9, 20);
        PlantState plant = plant(Ladder.IN_LEAF, Rung.LIGHT, since);
        assertThat(decide(plant, LocalDate.of(2026, 10, 5)).step()).isEqualTo(PlantStep.STEP_UP);
        // the early first frost is the twentieth of October
        assertThat(decide(plant, LocalDate.of(2026, 10, 14)).lacking()).containsExactly(HardenRule.FREE_OF_FROST);
        assertThat(decide(plant, LocalDate.of(2026, 11, 2)).step()).isEqualTo(PlantStep.STAY);
        // a house without frost is left for the open air no sooner
        Standing house =
                new Standing(climate(null, Map.of(), Map.of()), climate(FROSTS, Map.of(), Map.of()), null, null);
        assertThat(HardenRules.decide(RULES, plant, house, LocalDate.of(2026, 11, 2))
                        .step())
                .isEqualTo(PlantStep.STAY);
        // in the house itself it climbs
        PlantState inside = plant(Ladder.IN_LEAF, Rung.HALF, since);
        assertThat(HardenRules.decide(RULES, inside, house, LocalDate.of(2026, 11, 2))
                        .step())
                .isEqualTo(PlantStep.STEP_UP);
        // and a frost that is forecast counts in any season
        PlaceClimate warned = climate(FROSTS, Map.of(LocalDate.of(2026, 10, 8), new DayTemperatures(-1, 9)), Map.of());
        assertThat(HardenRules.decide(RULES, plant, new Standing(warned, null), LocalDate.of(2026, 10, 5))
                        .lacking())
                .containsExactly(HardenRule.FREE_OF_FROST);
    }

    /** Line 4: in a lowland where every normal passes 30 C a plant stood in the closed tent for 13 months. */
    @Test
    void line_4_where_it_always_is_hot_plants_climb_all_the_same() {
        PlaceClimate lowland = new PlaceClimate(
                9,
                new MonthlyNormals(Collections.nCopies(12, 23.0), Collections.nCopies(12, 32.5)),
                null,
                20,
                1,
                Map.of(SEVERED.plusDays(20), new DayTemperatures(25, 37)));
        PlantState plant = plant(Ladder.IN_LEAF, Rung.TENT, SEVERED);
        Standing there = new Standing(lowland, null);
        assertThat(HardenRules.decide(RULES, plant, there, SEVERED.plusDays(10)).step())
                .isEqualTo(PlantStep.STEP_UP);
        assertThat(HardenRules.decide(RULES, plant, there, SEVERED.plusDays(19)).lacking())
                .containsExactly(HardenRule.COOL_DAY);
    }

    /** Line 6: what is planted straight into the ground is no pot in a tent. */
    @Test
    void line_6_what_stands_in_the_ground_has_a_way_of_its_own() {
        PlantState planted = plant(Ladder.GROUND, Rung.SHADE, SEVERED);
        Standing there =
                new Standing(climate(FROSTS, Map.of(), Map.of()), climate(FROSTS, Map.of(), Map.of()), null, 95);
        assertThat(HardenRules.decide(RULES, planted, there, SEVERED.plusDays(13))
                        .step())
                .isEqualTo(PlantStep.STAY);
        HardenVerdict off = HardenRules.decide(RULES, planted, there, SEVERED.plusDays(14));
        assertThat(off.step()).isEqualTo(PlantStep.STEP_UP);
        assertThat(off.to()).isEqualTo(Rung.OPEN);
        PlantState open = plant(Ladder.GROUND, Rung.OPEN, SEVERED.plusDays(14))
                .plus(seen(SEVERED.plusDays(60), PlantSign.NEW_GROWTH));
        // it is released where it is, in the spring after, and roots at a pot's edge are not asked for
        assertThat(HardenRules.decide(RULES, open, there, SEVERED.plusDays(90)).lacking())
                .containsExactly(HardenRule.SPRING_IN_THE_GROUND);
        assertThat(HardenRules.decide(RULES, open, there, LocalDate.of(2027, 6, 1))
                        .step())
                .isEqualTo(PlantStep.RELEASE);
        // a droop brings the cloth back
        PlantState droops = open.plus(seen(SEVERED.plusDays(20), PlantSign.DROOP));
        assertThat(HardenRules.decide(RULES, droops, there, SEVERED.plusDays(20))
                        .to())
                .isEqualTo(Rung.SHADE);
    }

    private static PlantState plant(Ladder ladder, Rung rung, LocalDate since) {
        return new PlantState(SEVERED, true, null, ladder, rung, since, List.of());
    }

    private static PlantState.Seen seen(LocalDate on, PlantSign... signs) {
        return new PlantState.Seen(on, Set.of(signs));
    }

    private static PlaceClimate climate(
            @Nullable FrostCalendar frosts, Map<LocalDate, DayTemperatures> days, Map<LocalDate, Double> wind) {
        MonthlyNormals mild = new MonthlyNormals(Collections.nCopies(12, 8.0), Collections.nCopies(12, 18.0));
        return new PlaceClimate(52, mild, frosts, -4, 1, 0, days, wind);
    }
}
