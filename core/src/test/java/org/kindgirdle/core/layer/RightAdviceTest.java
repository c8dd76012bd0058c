package org.kindgirdle.core.layer;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.ProfileBuilder;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.climate.DayTemperatures;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.MonthlyNormals;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.Habit;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;

/** Situations in which a grower was once told something wrong, entered as their growers would enter them. */
class RightAdviceTest {

    private static final LocalDate APRIL = LocalDate.of(2026, 4, 20);

    private static final LayerContext HOME = Carrow.context(Carrow.QUINCE);

    /** Winters to -12 C, with normal nights of -7 C in January. */
    private static final PlaceClimate COLD = new PlaceClimate(
            47,
            new MonthlyNormals(
                    List.of(-7.0, -5.0, -1.0, 4.0, 9.0, 12.0, 14.0, 13.0, 9.0, 5.0, 0.0, -3.5),
                    List.of(1.0, 3.0, 9.0, 15.0, 20.0, 23.0, 26.0, 25.0, 20.0, 14.0, 7.0, 2.0)),
            new FrostCalendar(MonthDay.of(10, 28), MonthDay.of(10, 12), MonthDay.of(4, 20), MonthDay.of(5, 6)),
            -12,
            1,
            Map.of());

    private static final SpeciesProfile TENDER =
            ProfileBuilder.quince().habit(Habit.EVERGREEN).hardyTo(2).build();

    private static NextStep step(LayerProjection layer) {
        return Objects.requireNonNull(layer.verdict()).step();
    }

    private static Optional<Job> job(LayerProjection layer, String code) {
        return layer.jobs().stream().filter(job -> job.code().equals(code)).findFirst();
    }

    @Test
    void line_1_an_old_look_is_not_the_present() {
        Carrow layer =
                new Carrow().setOn(APRIL, School.IN_LEAF, false).look(LocalDate.of(2026, 5, 28), RootStage.CALLUS, 0);
        LayerProjection later = layer.asOf(LocalDate.of(2026, 7, 15), HOME);
        assertThat(step(later)).isEqualTo(NextStep.LOOK_NOW);
        assertThat(job(later, Job.LOOK).orElseThrow().by()).isBefore(LocalDate.of(2026, 7, 15));
        // a look stays a job whatever the step is
        layer.on(LocalDate.of(2026, 7, 14), new LayerRecord.Tended(Work.PROP, null));
        assertThat(job(layer.asOf(LocalDate.of(2026, 10, 10), HOME), Job.LOOK)).isPresent();
    }

    @Test
    void line_2_the_spring_school_waits_for_one_spring_only() {
        Carrow layer =
                new Carrow().setOn(APRIL, School.SPRING, false).look(LocalDate.of(2026, 9, 20), RootStage.FILLED, 3);
        assertThat(step(layer.asOf(LocalDate.of(2026, 9, 20), HOME))).isEqualTo(NextStep.HOLD_SPRING);
        assertThat(step(layer.asOf(LocalDate.of(2027, 1, 20), HOME))).isEqualTo(NextStep.HOLD_SPRING);
        assertThat(step(layer.asOf(LocalDate.of(2027, 5, 20), HOME))).isEqualTo(NextStep.SEVER_NOW);
        assertThat(step(layer.asOf(LocalDate.of(2027, 11, 20), HOME))).isNotEqualTo(NextStep.HOLD_SPRING);
    }

    @Test
    void line_2_after_leaf_fall_holds_where_the_roots_would_die_in_midwinter() {
        LayerContext cold = Carrow.context(Carrow.QUINCE, COLD, Carrow.RING, false);
        assertThat(cold.isHardy(RootStage.FILLED)).isFalse();
        Carrow layer =
                new Carrow().setOn(APRIL, School.DORMANT, false).look(LocalDate.of(2026, 9, 5), RootStage.FILLED, 3);
        assertThat(step(layer.asOf(LocalDate.of(2026, 9, 5), cold))).isEqualTo(NextStep.HOLD_DORMANT);
        LocalDate bare = LocalDate.of(2026, 11, 15);
        assertThat(cold.isLeafless(bare)).isTrue();
        assertThat(step(layer.asOf(bare, cold))).isEqualTo(NextStep.SEVER_DORMANT);
        // in hard frost it is too late for the knife, and without cover it can only be protected
        assertThat(step(layer.asOf(LocalDate.of(2027, 1, 15), cold))).isEqualTo(NextStep.PROTECT);
    }

    @Test
    void line_3_water_and_looks_go_on_whatever_the_step_is() {
        LayerContext tender = Carrow.context(TENDER, Carrow.climate(), Carrow.RING, false);
        Carrow layer = new Carrow()
                .setOn(LocalDate.of(2026, 8, 1), School.IN_LEAF, false)
                .look(LocalDate.of(2026, 9, 20), RootStage.INITIALS, 1);
        LocalDate october = LocalDate.of(2026, 10, 8);
        LayerProjection waits = layer.asOf(october, tender);
        assertThat(step(waits)).isEqualTo(NextStep.PROTECT);
        assertThat(waits.jobs()).extracting(Job::code).contains(Job.LOOK, Job.TOP_UP, "PROTECT");
        // it is work for the last week before the early first frost, and late when that is past
        assertThat(job(waits, "PROTECT"))
                .contains(new Job("PROTECT", LocalDate.of(2026, 10, 13), LocalDate.of(2026, 10, 20)));
        LayerProjection undone = layer.asOf(LocalDate.of(2027, 1, 10), tender);
        assertThat(job(undone, "PROTECT").orElseThrow().by()).isEqualTo(LocalDate.of(2026, 10, 20));
        // done, it stays done until its season returns
        layer.on(LocalDate.of(2026, 10, 15), new LayerRecord.Tended(Work.PROTECT, null));
        assertThat(job(layer.asOf(LocalDate.of(2026, 12, 20), tender), "PROTECT"))
                .isEmpty();
        assertThat(job(layer.asOf(LocalDate.of(2027, 3, 1), tender), "PROTECT")).isEmpty();
        layer.look(LocalDate.of(2027, 10, 10), RootStage.ROOTED, 1);
        assertThat(job(layer.asOf(LocalDate.of(2027, 10, 14), tender), "PROTECT"))
                .isPresent();
    }

    @Test
    void line_3_a_forecast_frost_brings_protection_forward_to_its_eve() {
        Map<LocalDate, DayTemperatures> forecast = new HashMap<>();
        for (int day = 1; day <= 7; day++) {
            forecast.put(LocalDate.of(2026, 10, 1).plusDays(day), new DayTemperatures(day == 5 ? -1 : 4, 11));
        }
        PlaceClimate climate = new PlaceClimate(
                52,
                new MonthlyNormals(
                        List.of(2.6, 2.4, 3.3, 4.6, 7.3, 10.1, 12.2, 12.3, 10.6, 8.1, 5.1, 3.2),
                        List.of(7.6, 7.9, 10.0, 12.8, 16.1, 18.8, 20.8, 20.7, 18.3, 14.4, 10.6, 8.2)),
                Carrow.climate().frosts().orElseThrow(),
                -4.5,
                1,
                forecast);
        Carrow layer = new Carrow()
                .setOn(LocalDate.of(2026, 8, 1), School.IN_LEAF, false)
                .look(LocalDate.of(2026, 9, 20), RootStage.INITIALS, 1);
        LayerProjection eve =
                layer.asOf(LocalDate.of(2026, 10, 1), Carrow.context(TENDER, climate, Carrow.RING, false));
        assertThat(job(eve, "PROTECT").orElseThrow().by()).isEqualTo(LocalDate.of(2026, 10, 5));
    }

    @Test
    void line_3_a_ball_that_is_lost_in_august_is_neither_fleeced_nor_watered() {
        LocalDate august = LocalDate.of(2026, 8, 25);
        LayerContext tender = Carrow.context(TENDER, Carrow.climate(), Carrow.RING, false);
        for (Condition found : List.of(Condition.MEDIUM_LOST, Condition.BRIDGED)) {
            Carrow layer = new Carrow().setOn(APRIL, School.IN_LEAF, false).look(august, RootStage.CALLUS, 0, found);
            LayerProjection now = layer.asOf(august, tender);
            assertThat(step(now)).as(found.name()).isEqualTo(NextStep.NEXT_SEASON);
            assertThat(now.jobs()).extracting(Job::code).containsExactly("NEXT_SEASON");
            layer.on(august, new LayerRecord.Tended(Work.NEXT_SEASON, null));
            // nothing is done to it over the winter, and it is not forgotten
            List<Job> winter = layer.asOf(LocalDate.of(2026, 12, 1), tender).jobs();
            assertThat(winter).extracting(Job::code).containsExactly("RERING");
            assertThat(winter.get(0).from()).isBetween(LocalDate.of(2027, 4, 1), LocalDate.of(2027, 6, 1));
            // in the next season it is asked for again, when the bark slips and there is time
            assertThat(step(layer.asOf(LocalDate.of(2027, 6, 1), tender))).isEqualTo(NextStep.RERING);
        }
    }

    @Test
    void line_6_what_lies_in_the_ground_is_no_ball_in_the_air() {
        Recipe ground =
                new Recipe(Method.GROUND, Wound.RING_SCRAPED, 0, Medium.POTTING_MIX, Wrap.IN_GROUND, Cover.CLEAR, 0, 0);
        LayerContext cold = Carrow.context(Carrow.QUINCE, COLD, ground, false);
        Carrow layer =
                new Carrow().setOn(APRIL, School.IN_LEAF, false).look(LocalDate.of(2026, 9, 20), RootStage.CALLUS, 0);
        assertThat(cold.isHardy(RootStage.CALLUS)).isTrue();
        LayerProjection autumn = layer.asOf(LocalDate.of(2026, 10, 20), cold);
        assertThat(step(autumn)).isEqualTo(NextStep.CARRY_OVER);
        assertThat(autumn.alsoDo()).doesNotContain(AlsoDo.COVER_NOW, AlsoDo.PROP);
    }

    @Test
    void line_8_a_remark_or_water_does_not_wipe_out_lateness() {
        Carrow layer =
                new Carrow().setOn(APRIL, School.IN_LEAF, false).look(LocalDate.of(2026, 6, 20), RootStage.FILLED, 3);
        LocalDate later = LocalDate.of(2026, 8, 20);
        Job before = job(layer.asOf(later, HOME), "SEVER_NOW").orElseThrow();
        assertThat(before).isEqualTo(new Job("SEVER_NOW", LocalDate.of(2026, 6, 20), LocalDate.of(2026, 6, 27)));
        layer.on(later.minusDays(1), new LayerRecord.Noted()).on(later.minusDays(1), new LayerRecord.ToppedUp(50.0));
        assertThat(job(layer.asOf(later, HOME), "SEVER_NOW")).contains(before);
    }

    @Test
    void line_8_no_date_of_a_step_passes_the_day_on_which_its_own_room_ends() {
        // the early first frost is the twentieth of October, six weeks before it is the eighth of September
        Carrow layer =
                new Carrow().setOn(APRIL, School.IN_LEAF, false).look(LocalDate.of(2026, 9, 4), RootStage.FILLED, 3);
        assertThat(job(layer.asOf(LocalDate.of(2026, 9, 4), HOME), "SEVER_NOW")
                        .orElseThrow()
                        .by())
                .isEqualTo(LocalDate.of(2026, 9, 8));
    }

    @Test
    void line_9_a_top_up_date_does_not_jump_with_the_weather_of_a_day_or_with_a_look() {
        Carrow layer = new Carrow().setOn(APRIL, School.IN_LEAF, false);
        LocalDate june = LocalDate.of(2026, 5, 20);
        LocalDate due = topUpOn(layer, june, HOME);
        // one parching day moves it by its own loss only
        Map<LocalDate, DayTemperatures> hot = Map.of(june, new DayTemperatures(14, 34));
        PlaceClimate parched = new PlaceClimate(
                52,
                new MonthlyNormals(
                        List.of(2.6, 2.4, 3.3, 4.6, 7.3, 10.1, 12.2, 12.3, 10.6, 8.1, 5.1, 3.2),
                        List.of(7.6, 7.9, 10.0, 12.8, 16.1, 18.8, 20.8, 20.7, 18.3, 14.4, 10.6, 8.2)),
                Carrow.climate().frosts().orElseThrow(),
                -4.5,
                1,
                hot);
        LocalDate moved = topUpOn(layer, june, Carrow.context(Carrow.QUINCE, parched, Carrow.RING, true));
        assertThat(moved).isBetween(due.minusDays(5), due);
        // a look that finds roots makes the days after it drier, not those before
        layer.look(june, RootStage.ROOTED, 2);
        assertThat(topUpOn(layer, june, HOME)).isAfter(june).isBefore(due);
        // what is found dry is due today, what is found wet is full
        layer.look(june, RootStage.ROOTED, 2, Condition.WET);
        LocalDate wet = topUpOn(layer, june, HOME);
        layer.look(june, RootStage.ROOTED, 2, Condition.DRY);
        assertThat(wet).isAfter(june.plusDays(5));
        assertThat(topUpOn(layer, june, HOME)).isEqualTo(june);
    }

    @Test
    void line_9_no_ball_is_watered_in_frost() {
        Carrow layer = new Carrow()
                .setOn(APRIL, School.DORMANT, false)
                .on(LocalDate.of(2026, 11, 20), new LayerRecord.ToppedUp(80.0));
        LayerContext cold = Carrow.context(Carrow.QUINCE, COLD, Carrow.RING, true);
        LocalDate due = topUpOn(layer, LocalDate.of(2027, 1, 20), cold);
        assertThat(COLD.on(due).minC()).isNotNegative();
        assertThat(due).isAfter(LocalDate.of(2027, 3, 1));
    }

    private static LocalDate topUpOn(Carrow layer, LocalDate day, LayerContext context) {
        return Objects.requireNonNull(layer.asOf(day, context).forecast()).topUpOn();
    }

    @Test
    void line_13_a_ring_that_failed_is_followed_by_a_wider_one_and_never_by_the_same() {
        for (double failed : new double[] {20, 30, 48, 60}) {
            assertThat(RingAndBall.againMm(HouseRules.SHIPPED, failed)).isEqualTo(Math.min(75, 1.25 * failed));
        }
    }

    @Test
    void line_14_a_specimen_is_scarred_once_and_then_left_to_root() {
        LocalDate june = LocalDate.of(2026, 6, 20);
        Carrow layer = new Carrow()
                .setOn(APRIL, School.IN_LEAF, true)
                .on(
                        june,
                        new LayerRecord.Looked(
                                RootStage.FILLED, new Sectors(List.of(3, 3, 3, 3, 0, 0, 0, 0)), 60.0, Set.of()));
        assertThat(step(layer.asOf(june, HOME))).isEqualTo(NextStep.RESCORE);
        layer.on(june, new LayerRecord.Tended(Work.RESCORE, null));
        assertThat(step(layer.asOf(june.plusDays(1), HOME))).isEqualTo(NextStep.WAIT);
        // the look after the scar is due after four weeks of growth, and until then nothing is asked for
        assertThat(step(layer.asOf(june.plusDays(40), HOME))).isEqualTo(NextStep.WAIT);
        assertThat(job(layer.asOf(june.plusDays(1), HOME), Job.LOOK)
                        .orElseThrow()
                        .from())
                .isBetween(june.plusDays(28), june.plusDays(30));
    }

    @Test
    void line_14_a_full_ball_that_is_dry_is_soaked_before_the_cut() {
        LocalDate june = LocalDate.of(2026, 6, 20);
        LayerProjection dry = new Carrow()
                .setOn(APRIL, School.IN_LEAF, false)
                .look(june, RootStage.FILLED, 3, Condition.DRY)
                .asOf(june, HOME);
        assertThat(step(dry)).isEqualTo(NextStep.SEVER_SOON);
        assertThat(dry.alsoDo()).contains(AlsoDo.SOAK);
        assertThat(dry.jobs()).extracting(Job::code).doesNotContain(Job.TOP_UP);
    }

    @Test
    void line_15_a_slow_plant_stays_slow_after_one_look() {
        SpeciesProfile magnolia =
                ProfileBuilder.quince().time(140).twoSeasons(true).build();
        LayerContext context = Carrow.context(magnolia);
        Carrow layer = new Carrow().setOn(APRIL, School.IN_LEAF, false);
        LocalDate look = APRIL.plusDays(56);
        LocalDate before = Objects.requireNonNull(
                Objects.requireNonNull(layer.asOf(look, context).forecast()).q50());
        layer.look(look, RootStage.CALLUS, 0);
        LayerProjection.RootForecast after =
                Objects.requireNonNull(layer.asOf(look, context).forecast());
        assertThat(after.q50()).isAfter(look.plusMonths(2)).isBefore(before);
        assertThat(Objects.requireNonNull(after.q90())).isAfter(look.plusMonths(4));
    }

    @Test
    void line_16_what_is_stood_in_water_keeps_the_warmth_and_the_wrap_that_it_had() {
        LocalDate june = LocalDate.of(2026, 6, 20);
        Recipe jar =
                new Recipe(Method.JAR, Wound.RING_SCRAPED, 0, Medium.COIR_PERLITE, Wrap.TIED_FILM, Cover.BLACK, 0, 0);
        LayerContext inWater =
                Carrow.context(Carrow.QUINCE, Carrow.climate(), jar, true).goneOnFrom(Carrow.RING);
        Carrow layer = new Carrow().setOn(APRIL, School.IN_LEAF, false).look(june, RootStage.INITIALS, 1);
        double before = warmth(layer.asOf(june, HOME));
        double byAirLater = warmth(layer.asOf(june.plusDays(20), HOME));

        layer.on(june.plusDays(1), new LayerRecord.StoodInWater(9L, 1, 3));
        assertThat(warmth(layer.asOf(june, inWater))).isEqualTo(before);
        assertThat(warmth(layer.asOf(june.plusDays(20), inWater)))
                .as("slower from then on, and warm as under its foil")
                .isLessThan(byAirLater)
                .isGreaterThan(before);
        assertThat(inWater.wrappedBy(Replay.of(layer.journal()))).isEqualTo(Carrow.RING);
    }

    private static double warmth(LayerProjection layer) {
        return Objects.requireNonNull(layer.forecast()).thermalDays();
    }
}
