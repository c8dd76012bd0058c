package org.kindgirdle.core.layer;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.harden.HardenRule;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.harden.PlantStep;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.pot.FirstMedium;

class ProjectorTest {

    private static final LocalDate JULY = LocalDate.of(2026, 7, 10);

    private static final LocalDate JUNE = LocalDate.of(2026, 6, 12);

    /** thermal days that some of this species would need less than four years for, and some more */
    private static final double SLOW_D50 = 350;

    @Test
    void a_fresh_layer_waits_and_its_dates_lie_in_order() {
        LayerProjection layer = new Carrow().set().asOf(JUNE);
        LayerProjection.RootForecast forecast = Objects.requireNonNull(layer.forecast());
        assertThat(step(layer)).isEqualTo(NextStep.WAIT);
        assertThat(forecast.q10()).isAfter(JUNE).isBefore(forecast.q50());
        assertThat(forecast.q50()).isBefore(forecast.q90());
        assertThat(layer.jobs()).isSortedAccordingTo((a, b) -> a.by().compareTo(b.by()));
        assertThat(layer.ball().ringMm()).isEqualTo(30);
    }

    @Test
    void a_look_moves_the_dates_and_a_full_ball_is_cut() {
        Carrow quince = new Carrow().set();
        LocalDate before = Objects.requireNonNull(quince.asOf(JULY).forecast()).q50();
        LocalDate after = Objects.requireNonNull(
                        quince.look(JULY, RootStage.ROOTED, 2).asOf(JULY).forecast())
                .q50();
        assertThat(after).isBefore(before);
        assertThat(step(quince.look(JULY.plusDays(10), RootStage.FILLED, 3).asOf(JULY.plusDays(10))))
                .isEqualTo(NextStep.SEVER_NOW);
    }

    @Test
    void a_curve_that_runs_past_the_horizon_ends_there() {
        LayerState state = Replay.of(new Carrow().set().journal());
        LocalDate horizon = Carrow.SET_ON.plusDays(1461);
        List<Projector.ReadyBy> curve =
                Projector.readyCurve(state, Carrow.context(Carrow.quince(SLOW_D50)), Carrow.SET_ON);
        assertThat(curve).isNotEmpty();
        assertThat(curve.get(curve.size() - 1).on())
                .isAfter(horizon.minusDays(60))
                .isBeforeOrEqualTo(horizon);
        assertThat(curve).isSortedAccordingTo((a, b) -> Double.compare(a.fullP(), b.fullP()));
    }

    @Test
    void work_mends_what_the_look_found() {
        Carrow quince = new Carrow().set().look(JULY, RootStage.CALLUS, 0, Condition.DRY, Condition.ALGAE);
        assertThat(step(quince.asOf(JULY))).isEqualTo(NextStep.REWET);
        assertThat(quince.asOf(JULY).alsoDo()).containsExactly(AlsoDo.COVER);
        quince.on(JULY, new LayerRecord.Tended(Work.REWET, null))
                .on(JULY, new LayerRecord.Tended(Work.COVER, Cover.BLACK));
        assertThat(step(quince.asOf(JULY))).isEqualTo(NextStep.WAIT);
        assertThat(quince.asOf(JULY).alsoDo()).isEmpty();
        assertThat(quince.asOf(JULY).state().wateredOn()).isEqualTo(JULY);
    }

    @Test
    void a_black_cover_warms_from_its_day_on() {
        LocalDate later = JULY.plusDays(20);
        double foil = g(new Carrow().set().asOf(later));
        double black = g(new Carrow()
                .set()
                .on(JULY, new LayerRecord.Tended(Work.COVER, Cover.BLACK))
                .asOf(later));
        double blackAllAlong = g(new Carrow()
                .set()
                .on(Carrow.SET_ON, new LayerRecord.Tended(Work.COVER, Cover.BLACK))
                .asOf(later));
        assertThat(black).isGreaterThan(foil).isLessThan(blackAllAlong);
    }

    @Test
    void a_new_ring_starts_afresh_and_is_wider() {
        LayerProjection before = new Carrow()
                .set()
                .look(JULY, RootStage.CALLUS, 0, Condition.BRIDGED)
                .asOf(JULY);
        LayerProjection again = new Carrow()
                .set()
                .look(JULY, RootStage.CALLUS, 0, Condition.BRIDGED)
                .on(JULY, new LayerRecord.Rerung(37.5))
                .asOf(JULY);
        assertThat(before.state().conditions()).containsExactly(Condition.BRIDGED);
        assertThat(again.state().attempts()).isEqualTo(1);
        assertThat(again.state().conditions()).isEmpty();
        assertThat(again.state().stage()).isEqualTo(RootStage.NONE);
        assertThat(g(again)).isLessThan(1);
    }

    @Test
    void a_cleaned_out_ring_waits_for_the_next_one() {
        LayerProjection layer = new Carrow()
                .set()
                .look(JULY, RootStage.CALLUS, 0, Condition.ROT)
                .on(JULY, new LayerRecord.Tended(Work.CLEAN_OUT, null))
                .asOf(JULY);
        assertThat(layer.state().conditions()).containsExactly(Condition.MEDIUM_LOST);
        assertThat(step(layer)).isIn(NextStep.RERING, NextStep.CARRY_OVER);
    }

    @Test
    void a_leaning_limb_asks_for_a_prop_until_it_has_one() {
        Carrow heavy = new Carrow().set(2600, 85);
        assertThat(heavy.asOf(JULY).alsoDo()).containsExactly(AlsoDo.PROP);
        assertThat(heavy.on(JULY, new LayerRecord.Tended(Work.PROP, null))
                        .asOf(JULY)
                        .alsoDo())
                .isEmpty();
    }

    @Test
    void a_profile_with_a_longer_time_moves_the_dates() {
        LayerState state = Replay.of(new Carrow().set().journal());
        LocalDate quick = Objects.requireNonNull(Projector.project(state, Carrow.context(Carrow.QUINCE), JULY)
                        .forecast())
                .q50();
        LocalDate slow = Objects.requireNonNull(Projector.project(state, Carrow.context(Carrow.quince(60)), JULY)
                        .forecast())
                .q50();
        assertThat(slow).isAfter(Objects.requireNonNull(quick));
    }

    @Test
    void after_severance_the_ladder_is_climbed_one_rung_at_a_time() {
        Carrow plant = new Carrow().set().look(JULY, RootStage.FILLED, 3).on(JULY, new LayerRecord.Severed(12, 6));
        assertThat(hardening(plant.asOf(JULY)).step()).isEqualTo(PlantStep.POT_UP);
        plant.on(JULY, new LayerRecord.Potted(FirstMedium.LIGHT_MIX, 2000.0, null));
        assertThat(hardening(plant.asOf(JULY.plusDays(9))).lacking()).containsExactly(HardenRule.DAYS_ON_RUNG);
        assertThat(hardening(plant.asOf(JULY.plusDays(10))).step()).isEqualTo(PlantStep.STEP_UP);
        plant.on(JULY.plusDays(10), new LayerRecord.Moved(Rung.SHADE))
                .on(JULY.plusDays(12), new LayerRecord.Observed(Set.of(PlantSign.DROOP)));
        HardenVerdict droops = hardening(plant.asOf(JULY.plusDays(12)));
        assertThat(droops.step()).isEqualTo(PlantStep.STEP_BACK);
        assertThat(droops.to()).isEqualTo(Rung.TENT);
        plant.on(JULY.plusDays(13), new LayerRecord.Observed(Set.of(PlantSign.DROOP)));
        assertThat(hardening(plant.asOf(JULY.plusDays(13))).step()).isEqualTo(PlantStep.OPEN_AND_LOOK);
    }

    @Test
    void another_way_up_counts_from_the_day_that_the_plant_came_to_its_rung() {
        Carrow plant = new Carrow()
                .set()
                .on(JULY, new LayerRecord.Severed(12, 6))
                .on(JULY, new LayerRecord.Potted(FirstMedium.LIGHT_MIX, 2000.0, null))
                .on(JULY.plusDays(10), new LayerRecord.Moved(Rung.SHADE));
        assertThat(hardening(plant.asOf(JULY.plusDays(24))).step()).isEqualTo(PlantStep.STEP_UP);
        plant.on(JULY.plusDays(20), new LayerRecord.Moved(Rung.SHADE, null, Ladder.LONG_SHADE));
        HardenVerdict sulks = hardening(plant.asOf(JULY.plusDays(24)));
        assertThat(sulks.step()).isEqualTo(PlantStep.STAY);
        assertThat(sulks.from()).isEqualTo(JULY.plusDays(10 + Ladder.LONG_SHADE.days(HouseRules.SHIPPED, Rung.SHADE)));
    }

    @Test
    void the_day_that_is_named_is_the_first_on_which_time_alone_changes_the_step() {
        for (Carrow quince : new Carrow[] {
            new Carrow().set(),
            new Carrow().set().look(JULY, RootStage.ROOTED, 2),
            new Carrow().set().look(JULY, RootStage.FILLED, 3)
        }) {
            LayerContext context = Carrow.context(Carrow.QUINCE);
            LayerState state = Replay.of(quince.journal());
            ComingSteps.ComingStep coming =
                    ComingSteps.next(state, context, JULY).orElseThrow();
            NextStep now = step(Projector.project(state, context, JULY));
            for (LocalDate day = JULY; day.isBefore(coming.on()); day = day.plusDays(1)) {
                assertThat(step(Projector.project(state, context, day))).isEqualTo(now);
            }
            assertThat(step(Projector.project(state, context, coming.on())))
                    .isEqualTo(coming.verdict().step())
                    .isNotEqualTo(now);
        }
    }

    @Test
    void release_wants_roots_growth_and_time_before_frost() {
        Carrow plant = new Carrow()
                .set()
                .on(JULY, new LayerRecord.Severed(12, 6))
                .on(JULY, new LayerRecord.Potted(FirstMedium.LIGHT_MIX, 2000.0, null))
                .on(JULY.plusDays(40), new LayerRecord.Moved(Rung.OPEN));
        assertThat(hardening(plant.asOf(JULY.plusDays(47))).lacking())
                .containsExactly(HardenRule.ROOTS_AT_EDGE, HardenRule.NEW_GROWTH);
        plant.on(JULY.plusDays(47), new LayerRecord.Observed(Set.of(PlantSign.ROOTS_AT_EDGE, PlantSign.NEW_GROWTH)));
        assertThat(hardening(plant.asOf(JULY.plusDays(47))).step()).isEqualTo(PlantStep.RELEASE);
        assertThat(hardening(plant.asOf(LocalDate.of(2026, 10, 1))).step()).isEqualTo(PlantStep.HOLD_UNDER_COVER);
    }

    @Test
    void a_job_that_was_put_off_waits_until_its_day_and_anything_recorded_brings_it_back() {
        Carrow dry = new Carrow().set().look(JULY, RootStage.CALLUS, 0, Condition.DRY);
        dry.on(JULY, new LayerRecord.Deferred(Set.of("REWET"), JULY.plusDays(4)));
        assertThat(dry.asOf(JULY).nextJob()).isEqualTo(new Job("REWET", JULY.plusDays(4), JULY.plusDays(4)));
        assertThat(step(dry.asOf(JULY)))
                .as("what is to be done is not changed by waiting")
                .isEqualTo(NextStep.REWET);
        dry.on(JULY.plusDays(1), new LayerRecord.Noted());
        assertThat(Objects.requireNonNull(dry.asOf(JULY.plusDays(1)).nextJob()).from())
                .isEqualTo(JULY.plusDays(4));
        dry.look(JULY.plusDays(1), RootStage.CALLUS, 0, Condition.DRY);
        assertThat(Objects.requireNonNull(dry.asOf(JULY.plusDays(1)).nextJob()).by())
                .isEqualTo(JULY.plusDays(1));
    }

    @Test
    void each_look_narrows_the_estimate_and_a_new_ring_begins_again() {
        Carrow quince = new Carrow()
                .set()
                .look(JUNE, RootStage.CALLUS, 0)
                .look(JULY, RootStage.ROOTED, 1)
                .on(JULY, new LayerRecord.ToppedUp(100.0));
        LayerContext context = Carrow.context(Carrow.QUINCE);
        List<Estimate> learned = Estimate.sinceTheRing(quince.journal(), context);
        assertThat(learned).extracting(Estimate::stage).containsExactly(null, RootStage.CALLUS, RootStage.ROOTED);
        assertThat(spread(learned.get(2))).isLessThan(spread(learned.get(0)));
        LayerProjection.RootForecast now =
                Objects.requireNonNull(quince.asOf(JULY).forecast());
        assertThat(learned.get(2).q50()).isEqualTo(now.q50());

        quince.on(JULY.plusDays(1), new LayerRecord.Rerung(40));
        assertThat(Estimate.sinceTheRing(quince.journal(), context))
                .singleElement()
                .satisfies(ring -> assertThat(ring.on()).isEqualTo(JULY.plusDays(1)));
    }

    private static long spread(Estimate estimate) {
        return ChronoUnit.DAYS.between(estimate.q10(), estimate.q90());
    }

    @Test
    void no_job_is_put_off_for_ever_and_what_may_wait_longer_keeps_its_last_day() {
        Carrow dry = new Carrow().set().look(JULY, RootStage.CALLUS, 0, Condition.DRY);
        dry.on(JULY, new LayerRecord.Deferred(Set.of("REWET"), JULY.plusYears(1)));
        assertThat(Objects.requireNonNull(dry.asOf(JULY).nextJob()).by())
                .isEqualTo(JULY.plusDays(LayerProjection.MAX_DEFERRED_DAYS));

        Carrow bridged = new Carrow().set().look(JULY, RootStage.INITIALS, 1, Condition.BRIDGED);
        LocalDate last = Objects.requireNonNull(bridged.asOf(JULY).nextJob()).by();
        bridged.on(JULY, new LayerRecord.Deferred(Set.of("CUT_BRIDGE"), JULY.plusDays(2)));
        assertThat(bridged.asOf(JULY).nextJob()).isEqualTo(new Job("CUT_BRIDGE", JULY.plusDays(2), last));
    }

    @Test
    void what_waits_for_the_cold_is_looked_at_and_watered_until_then() {
        LocalDate late = LocalDate.of(2026, 9, 23);
        LayerProjection kept = new Carrow()
                .set()
                .look(LocalDate.of(2026, 9, 10), RootStage.INITIALS, 1)
                .asOf(late);
        assertThat(step(kept)).isEqualTo(NextStep.CARRY_OVER);
        assertThat(kept.jobs()).extracting(Job::code).containsExactlyInAnyOrder(Job.TOP_UP, Job.LOOK);
    }

    @Test
    void
            the_chance_of_being_full_in_time_falls_with_the_day_of_the_ring_and_the_next_autumn_is_meant_once_one_is_past() {
        LayerProjection.RootForecast early =
                Objects.requireNonNull(new Carrow().set().asOf(JULY).forecast());
        LayerProjection.RootForecast late = Objects.requireNonNull(new Carrow()
                .set()
                .on(JULY, new LayerRecord.Rerung(30))
                .asOf(JULY)
                .forecast());
        assertThat(early.deadline()).isEqualTo(LocalDate.of(2026, 9, 8)).isEqualTo(late.deadline());
        assertThat(late.inTimeP()).isLessThan(early.inTimeP()).isPositive();
        LocalDate winter = LocalDate.of(2026, 12, 1);
        assertThat(Objects.requireNonNull(new Carrow().set().asOf(winter).forecast())
                        .deadline())
                .isEqualTo(LocalDate.of(2027, 9, 8));
    }

    @Test
    void the_mother_of_a_severed_layer_is_seen_to_once() {
        Carrow plant = new Carrow().set().on(JULY, new LayerRecord.Severed(12, 6));
        assertThat(plant.asOf(JULY).jobs()).extracting(Job::code).contains(Job.TIDY_STUB);
        plant.on(JULY.plusDays(3), new LayerRecord.Tended(Work.TIDY_STUB, null));
        assertThat(plant.asOf(JULY.plusDays(3)).jobs()).extracting(Job::code).doesNotContain(Job.TIDY_STUB);
        assertThat(plant.asOf(JULY.plusDays(3)).state().conflicts()).isEmpty();

        Carrow early = new Carrow().set().on(JULY, new LayerRecord.Tended(Work.TIDY_STUB, null));
        assertThat(early.asOf(JULY).state().conflicts())
                .extracting(LayerState.Conflict::reason)
                .containsExactly(LayerState.Reason.NOT_SEVERED);
    }

    @Test
    void a_cut_that_was_planned_is_the_job_of_its_day_whether_or_not_a_rule_asks_for_it() {
        Carrow full = new Carrow().set().look(JULY, RootStage.FILLED, 3);
        full.on(JULY, new LayerRecord.CutPlanned(JULY.plusDays(14)));
        // a look that is due before the cut is made, one that is due after it is not
        assertThat(full.asOf(JULY).jobs())
                .contains(new Job("SEVER_NOW", JULY.plusDays(14), JULY.plusDays(14)))
                .extracting(Job::code)
                .contains(Job.LOOK);
        full.on(JULY, new LayerRecord.CutPlanned(JULY.plusDays(4)));
        assertThat(full.asOf(JULY).jobs()).extracting(Job::code).doesNotContain(Job.LOOK);
        assertThat(full.asOf(JULY.plusDays(6)).nextJob())
                .isEqualTo(new Job("SEVER_NOW", JULY.plusDays(4), JULY.plusDays(4)));
        full.on(JULY, new LayerRecord.CutPlanned(null));
        assertThat(Objects.requireNonNull(full.asOf(JULY).nextJob()).from()).isEqualTo(JULY);

        Carrow early = new Carrow().set().look(JULY, RootStage.ROOTED, 2);
        early.on(JULY, new LayerRecord.CutPlanned(JULY.plusDays(4)));
        assertThat(early.asOf(JULY).jobs()).contains(new Job(Job.SEVER, JULY.plusDays(4), JULY.plusDays(4)));
        early.on(JULY.plusDays(4), new LayerRecord.Severed(12, 6));
        assertThat(early.asOf(JULY.plusDays(4)).state().cutPlannedOn()).isNull();
    }

    @Test
    void a_step_that_time_brought_is_dated_from_the_day_it_came_not_from_the_last_look() {
        Carrow full = new Carrow().set().look(JULY, RootStage.FILLED, 3);
        LocalDate day = JULY;
        while (step(full.asOf(day)) == NextStep.SEVER_NOW) {
            day = day.plusDays(1);
        }
        assertThat(day).isEqualTo(LocalDate.of(2026, 9, 9));
        Job cover = new Job("SEVER_TO_COVER", day, day.plusDays(3));
        assertThat(full.asOf(day).jobs()).contains(cover);
        assertThat(full.asOf(day.plusDays(3)).jobs()).contains(cover);
    }

    @Test
    void what_the_winter_held_back_is_dated_from_the_spring() {
        LocalDate october = LocalDate.of(2026, 10, 1);
        Carrow plant = new Carrow()
                .set()
                .on(JULY, new LayerRecord.Severed(12, 6))
                .on(JULY, new LayerRecord.Potted(FirstMedium.LIGHT_MIX, 2000.0, null))
                .on(october, new LayerRecord.Moved(Rung.OPEN))
                .on(october, new LayerRecord.Observed(Set.of(PlantSign.ROOTS_AT_EDGE, PlantSign.NEW_GROWTH)));
        LocalDate day = LocalDate.of(2027, 4, 1);
        while (hardening(plant.asOf(day)).step() != PlantStep.RELEASE) {
            day = day.plusDays(1);
        }
        assertThat(day).isAfter(LocalDate.of(2027, 4, 1));
        assertThat(plant.asOf(day.plusDays(2)).jobs()).contains(new Job("RELEASE", day, day.plusDays(4)));
    }

    @Test
    void what_is_wanted_of_it_can_be_thought_over() {
        Carrow full = new Carrow().set().look(JULY, RootStage.FILLED, 3);
        full.on(JULY, new LayerRecord.Chosen(School.SPRING, false, false));
        assertThat(step(full.asOf(JULY))).isEqualTo(NextStep.HOLD_SPRING);
        LocalDate later = JULY.plusDays(40);
        full.on(later, new LayerRecord.Chosen(School.IN_LEAF, false, false));
        assertThat(full.asOf(later).jobs())
                .filteredOn(job -> job.code().equals("SEVER_NOW"))
                .as("due from the day it was thought over, not from the look")
                .extracting(Job::from)
                .containsExactly(later);
        full.on(later, new LayerRecord.Chosen(School.IN_LEAF, false, true));
        assertThat(step(full.asOf(later))).isEqualTo(NextStep.HOLD_FRUIT);
    }

    @Test
    void what_speaks_for_and_against_a_cut_follows_the_season() {
        Carrow full = new Carrow().set().look(JULY, RootStage.FILLED, 3);
        assertThat(points(full, JULY)).contains("+FULL", "+ROOM_TO_ESTABLISH").noneMatch(one -> one.startsWith("-"));
        LocalDate october = LocalDate.of(2026, 10, 1);
        full.on(october, new LayerRecord.ToppedUp(50.0));
        assertThat(points(full, october)).contains("+FULL", "+COVER_AT_HAND", "-TOO_NEAR_FROST", "-STANDS_THE_WINTER");
        Carrow rooted = new Carrow().set().look(JULY, RootStage.ROOTED, 1);
        assertThat(points(rooted, JULY)).contains("-NOT_FULL");
        LayerContext context = Carrow.context(Carrow.QUINCE);
        assertThat(SeverPoint.isToBeDecidedOn(rooted.asOf(JULY), context, JULY)).isTrue();
        assertThat(SeverPoint.isToBeDecidedOn(new Carrow().set().asOf(JULY), context, JULY))
                .isFalse();
    }

    /** "It is meant to be severed in spring" stood against a cut that was due since spring. */
    @Test
    void line_2_the_school_speaks_against_a_cut_until_the_ball_has_stood_its_winter() {
        Carrow spring = new Carrow()
                .setOn(LocalDate.of(2026, 5, 1), School.SPRING, false)
                .look(LocalDate.of(2026, 9, 20), RootStage.FILLED, 3);
        assertThat(points(spring, LocalDate.of(2026, 9, 25))).contains("-SCHOOL_WAITS");
        assertThat(points(spring, LocalDate.of(2027, 6, 20))).doesNotContain("-SCHOOL_WAITS");
    }

    private static List<String> points(Carrow layer, LocalDate on) {
        return SeverPoint.of(layer.asOf(on), Carrow.context(Carrow.QUINCE), on).stream()
                .map(point -> (point.speaksFor() ? "+" : "-") + point.kind())
                .toList();
    }

    private static NextStep step(LayerProjection layer) {
        return Objects.requireNonNull(layer.verdict()).step();
    }

    private static HardenVerdict hardening(LayerProjection layer) {
        return Objects.requireNonNull(layer.hardening());
    }

    private static double g(LayerProjection layer) {
        return Objects.requireNonNull(layer.forecast()).thermalDays();
    }
}
