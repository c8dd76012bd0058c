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
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.harden.PlantStep;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.harden.WinterCare;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.NextStepRules;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;
import org.kindgirdle.core.sever.Shelter;

/** What was found wrong by living layers through day by day, each case by itself. */
class LivedCasesTest {

    private static final LocalDate MAY = LocalDate.of(2026, 5, 20);

    /** Nights of -14 C in January and down to -25 C: frosts from late September to the end of May. */
    private static PlaceClimate continental(Map<LocalDate, DayTemperatures> known) {
        return new PlaceClimate(
                45,
                new MonthlyNormals(
                        List.of(-14.0, -12.0, -5.5, 2.0, 8.0, 13.5, 16.0, 14.5, 9.5, 3.5, -3.5, -10.5),
                        List.of(-4.0, -1.5, 5.0, 13.5, 20.5, 25.5, 28.0, 27.0, 22.0, 14.5, 5.5, -1.5)),
                new FrostCalendar(MonthDay.of(10, 9), MonthDay.of(9, 24), MonthDay.of(5, 8), MonthDay.of(6, 2)),
                -25,
                1,
                known);
    }

    private static LayerContext in(PlaceClimate climate, SpeciesProfile species) {
        return Carrow.context(species, climate, Carrow.RING, true);
    }

    private static final Recipe SMALL =
            new Recipe(Method.AIR, Wound.RING_SCRAPED, 2000, Medium.MOSS, Wrap.HINGED_POD, Cover.FOIL, 0, 0);

    private static final SpeciesProfile SLOW = ProfileBuilder.quince().time(95).build();

    private static NextStep step(LayerProjection layer) {
        return Objects.requireNonNull(layer.verdict()).step();
    }

    private static Optional<Job> job(LayerProjection layer, String code) {
        return layer.jobs().stream().filter(job -> job.code().equals(code)).findFirst();
    }

    private static Carrow young(LocalDate severed, FirstMedium medium, Ladder ladder) {
        return new Carrow()
                .setOn(MAY, School.IN_LEAF, false)
                .look(severed, RootStage.FILLED, 3)
                .on(severed, new LayerRecord.Severed(12, 12, 0, null, Shelter.MIST_TENT, false, null))
                .on(severed, new LayerRecord.Potted(medium, 3000.0, ladder))
                .on(severed, new LayerRecord.Tended(Work.TIDY_STUB, null));
    }

    @Test
    void moss_that_is_used_up_falls_due_on_a_day_and_is_late_from_then_on() {
        LocalDate severed = LocalDate.of(2026, 6, 10);
        Carrow inMoss = young(severed, FirstMedium.MOSS_STAGE, Ladder.MOSS_TRAY);
        LocalDate used = severed.plusDays(120);
        Job first = job(inMoss.asOf(used), PlantStep.POT_ON.name()).orElseThrow();
        Job later = job(inMoss.asOf(used.plusDays(9)), PlantStep.POT_ON.name()).orElseThrow();
        assertThat(first.from()).isEqualTo(used);
        assertThat(later).isEqualTo(first);
    }

    @Test
    void what_is_to_be_opened_is_late_from_the_day_on_which_it_was_seen() {
        LocalDate seen = LocalDate.of(2026, 8, 20);
        Carrow mouldy = young(LocalDate.of(2026, 8, 1), FirstMedium.LIGHT_MIX, Ladder.IN_LEAF)
                .on(seen, new LayerRecord.Observed(Set.of(PlantSign.MOULD)));
        assertThat(job(mouldy.asOf(seen.plusDays(3)), PlantStep.OPEN_AND_LOOK.name()))
                .contains(new Job(PlantStep.OPEN_AND_LOOK.name(), seen, seen));
    }

    @Test
    void planted_into_the_ground_it_stands_there_whoever_says_so() {
        LocalDate day = LocalDate.of(2026, 8, 1);
        LayerProjection planted = young(day, FirstMedium.GROUND, Ladder.GROUND).asOf(day);
        assertThat(Objects.requireNonNull(planted.state().plant()).rung()).isEqualTo(Rung.SHADE);
        assertThat(Objects.requireNonNull(planted.hardening()).step()).isEqualTo(PlantStep.STAY);
    }

    @Test
    void what_stands_in_the_ground_is_not_to_be_held_under_cover() {
        LocalDate day = LocalDate.of(2026, 8, 1);
        Carrow planted = young(day, FirstMedium.GROUND, Ladder.GROUND)
                .on(day.plusDays(14), new LayerRecord.Moved(Rung.OPEN))
                .on(
                        day.plusDays(30),
                        new LayerRecord.Observed(
                                Set.of(PlantSign.TURGID, PlantSign.NEW_GROWTH, PlantSign.ROOTS_AT_EDGE)));
        LocalDate april = LocalDate.of(2027, 5, 1);
        assertThat(Objects.requireNonNull(planted.asOf(april).hardening()).step())
                .as("in leaf again, with a frost still to come")
                .isEqualTo(PlantStep.STAY);
    }

    @Test
    void a_look_is_not_late_where_only_the_weather_of_the_day_kept_it_from_moving_up() {
        LocalDate severed = LocalDate.of(2026, 6, 20);
        Carrow young = young(severed, FirstMedium.LIGHT_MIX, Ladder.IN_LEAF)
                .on(severed.plusDays(5), new LayerRecord.Observed(Set.of(PlantSign.TURGID)));
        LocalDate hot = severed.plusDays(22);
        PlaceClimate heat = weather(Carrow.climate(), Map.of(hot, new DayTemperatures(18, 36)));
        LayerProjection kept = young.asOf(hot, Carrow.context(Carrow.QUINCE).standingIn(heat));
        assertThat(Objects.requireNonNull(kept.hardening()).step()).isEqualTo(PlantStep.STAY);
        assertThat(job(kept, Job.LOOK).orElseThrow().by()).isEqualTo(hot);
        LayerProjection moves = young.asOf(hot.plusDays(5));
        assertThat(job(moves, PlantStep.STEP_UP.name()).orElseThrow().by()).isEqualTo(hot.plusDays(5));
    }

    private static PlaceClimate weather(PlaceClimate usual, Map<LocalDate, DayTemperatures> known) {
        return maritime(usual.frosts().orElseThrow(), known);
    }

    private static PlaceClimate maritime(FrostCalendar frosts, Map<LocalDate, DayTemperatures> known) {
        return new PlaceClimate(
                52,
                new MonthlyNormals(
                        List.of(2.6, 2.4, 3.3, 4.6, 7.3, 10.1, 12.2, 12.3, 10.6, 8.1, 5.1, 3.2),
                        List.of(7.6, 7.9, 10.0, 12.8, 16.1, 18.8, 20.8, 20.7, 18.3, 14.4, 10.6, 8.2)),
                frosts,
                -4.5,
                1,
                known);
    }

    @Test
    void no_day_that_freezes_is_offered_for_water() {
        LocalDate set = LocalDate.of(2026, 10, 10);
        Carrow layer = new Carrow().setOn(set, School.IN_LEAF, false);
        Map<LocalDate, DayTemperatures> frost = new HashMap<>();
        LayerContext mild = Carrow.context(Carrow.QUINCE);
        Job usual = job(layer.asOf(set.plusDays(60), mild), Job.TOP_UP).orElseThrow();
        LocalDate today = usual.by().minusDays(1);
        for (int back = 0; back < 12; back++) {
            frost.put(today.minusDays(back), new DayTemperatures(-4, 1));
        }
        LayerContext cold = in(weather(Carrow.climate(), frost), Carrow.QUINCE);
        assertThat(job(layer.asOf(today, cold), Job.TOP_UP).orElseThrow().from())
                .isAfter(today);
    }

    @Test
    void before_the_window_opens_nobody_says_that_it_is_too_late_for_this_year() {
        SpeciesProfile tender = ProfileBuilder.quince()
                .habit(Habit.EVERGREEN)
                .hardyTo(2)
                .opensAt(11)
                .build();
        LayerContext home = in(Carrow.climate(), tender);
        LocalDate late = LocalDate.of(2027, 4, 25);
        Carrow bridged = new Carrow()
                .setOn(LocalDate.of(2026, 9, 1), School.IN_LEAF, false)
                .look(late, RootStage.CALLUS, 0, Condition.BRIDGED);
        LayerProjection spring = bridged.asOf(late, home);
        assertThat(step(spring)).isEqualTo(NextStep.WAIT);
        assertThat(Objects.requireNonNull(spring.verdict()).decidedBy()).isEqualTo(NextStepRules.BRIDGED);
        assertThat(step(bridged.asOf(late.plusDays(40), home))).isEqualTo(NextStep.RERING);
    }

    @Test
    void a_step_that_went_and_came_back_counts_from_its_coming_back() {
        LocalDate july = LocalDate.of(2026, 7, 20);
        Carrow bridged = new Carrow()
                .setOn(MAY, School.IN_LEAF, false)
                .look(july, RootStage.CALLUS, 0, Condition.BRIDGED)
                .on(july, new LayerRecord.Tended(Work.NEXT_SEASON, null));
        LayerContext home = Carrow.context(Carrow.QUINCE);
        LocalDate june = LocalDate.of(2027, 6, 1);
        LayerProjection again = bridged.asOf(june, home);
        assertThat(step(again)).isEqualTo(NextStep.RERING);
        assertThat(job(again, NextStep.RERING.name()).orElseThrow().from()).isAfter(LocalDate.of(2027, 3, 1));
    }

    @Test
    void time_alone_gives_up_no_layer_that_was_looked_at_in_hope() {
        SpeciesProfile hard = ProfileBuilder.quince().time(60).build();
        LayerContext home = in(Carrow.climate(), hard);
        LocalDate look = LocalDate.of(2026, 7, 20);
        Carrow layer = new Carrow()
                .setOn(LocalDate.of(2026, 4, 25), School.IN_LEAF, false)
                .look(LocalDate.of(2026, 6, 20), RootStage.CALLUS, 0)
                .look(look, RootStage.CALLUS, 0);
        for (LocalDate day = look.plusDays(8); day.isBefore(LocalDate.of(2026, 9, 10)); day = day.plusDays(1)) {
            assertThat(Objects.requireNonNull(layer.asOf(day, home).verdict()).decidedBy())
                    .as("on %s", day)
                    .isNotEqualTo(NextStepRules.NOT_ROOTING);
        }
    }

    @Test
    void what_the_winter_kills_is_looked_at_before_it_does_and_taken_in_with_the_roots_it_has() {
        LayerContext cold = in(continental(Map.of()), SLOW);
        LocalDate october = LocalDate.of(2026, 10, 8);
        Carrow layer = new Carrow().setOn(MAY, School.IN_LEAF, false).look(october, RootStage.INITIALS, 1);
        LayerProjection autumn = layer.asOf(october, cold);
        assertThat(step(autumn)).isEqualTo(NextStep.PROTECT);
        // nights of -5 C are usual from the middle of November, and a snap brings them from the beginning on
        LocalDate by = job(autumn, Job.LOOK).orElseThrow().by();
        assertThat(by).isBetween(LocalDate.of(2026, 10, 22), LocalDate.of(2026, 11, 1));
        layer.look(by, RootStage.INITIALS, 1);
        assertThat(step(layer.asOf(by, cold))).isEqualTo(NextStep.GAMBLE);

        Map<LocalDate, DayTemperatures> killed = Map.of(by.plusDays(1), new DayTemperatures(-9, 2));
        assertThat(step(layer.asOf(by.plusDays(3), in(continental(killed), SLOW))))
                .as("after the night that killed them")
                .isEqualTo(NextStep.PROTECT);
    }

    @Test
    void a_forecast_night_that_kills_calls_hardy_plants_in() {
        LocalDate january = LocalDate.of(2027, 1, 10);
        LayerState state = Replay.of(young(LocalDate.of(2026, 8, 1), FirstMedium.LIGHT_MIX, Ladder.IN_LEAF)
                .journal());
        PlaceClimate usual = Carrow.climate();
        PlaceClimate coming = weather(usual, Map.of(january.plusDays(3), new DayTemperatures(-7, -1)));
        assertThat(care(state, usual, january).map(WinterCare::need)).contains(WinterCare.Need.COVER);
        assertThat(care(state, coming, january))
                .contains(new WinterCare(WinterCare.Need.FROST_FREE, january.plusDays(3), true, false));
    }

    @Test
    void roots_in_the_ground_bear_what_the_ground_keeps_off() {
        LocalDate january = LocalDate.of(2027, 1, 10);
        LayerState planted = Replay.of(young(LocalDate.of(2026, 8, 1), FirstMedium.GROUND, Ladder.GROUND)
                .journal());
        PlaceClimate coming = weather(Carrow.climate(), Map.of(january.plusDays(3), new DayTemperatures(-7, -1)));
        assertThat(care(planted, coming, january).map(WinterCare::need)).contains(WinterCare.Need.COVER);
    }

    private static Optional<WinterCare> care(LayerState state, PlaceClimate climate, LocalDate day) {
        return WinterCare.of(
                HouseRules.SHIPPED, Objects.requireNonNull(state.plant()), climate, Carrow.QUINCE, null, day);
    }

    @Test
    void whether_its_roots_carry_its_leaves_is_looked_at_within_days_of_the_cut() {
        LocalDate cut = LocalDate.of(2026, 6, 10);
        Carrow fresh = young(cut, FirstMedium.LIGHT_MIX, Ladder.IN_LEAF);
        assertThat(job(fresh.asOf(cut), Job.LOOK)).contains(new Job(Job.LOOK, cut.plusDays(1), cut.plusDays(3)));
        LocalDate seen = cut.plusDays(3);
        fresh.on(seen, new LayerRecord.Observed(Set.of(PlantSign.TURGID)));
        assertThat(job(fresh.asOf(seen), Job.LOOK)).contains(new Job(Job.LOOK, seen.plusDays(7), seen.plusDays(11)));
        LocalDate sheds = seen.plusDays(7);
        fresh.on(sheds, new LayerRecord.Observed(Set.of(PlantSign.LEAF_DROP)));
        assertThat(job(fresh.asOf(sheds), Job.LOOK)).contains(new Job(Job.LOOK, sheds.plusDays(1), sheds.plusDays(3)));
        LocalDate january = LocalDate.of(2027, 1, 15);
        Carrow asleep = young(LocalDate.of(2026, 12, 1), FirstMedium.LIGHT_MIX, Ladder.DORMANT)
                .on(january, new LayerRecord.Observed(Set.of(PlantSign.TURGID)));
        assertThat(job(asleep.asOf(january), Job.LOOK))
                .as("asleep it draws nothing")
                .contains(new Job(Job.LOOK, january.plusDays(7), january.plusDays(14)));
    }

    @Test
    void protection_that_hangs_is_not_asked_for_again_by_the_next_forecast_frost() {
        SpeciesProfile tender =
                ProfileBuilder.quince().cardinals(12, 26, 36).hardyTo(2).build();
        LocalDate may = LocalDate.of(2027, 5, 20);
        PlaceClimate frosty = weather(
                Carrow.climate(),
                Map.of(
                        may.plusDays(1), new DayTemperatures(-1, 9),
                        may.plusDays(4), new DayTemperatures(-1, 9)));
        Carrow layer = new Carrow()
                .setOn(LocalDate.of(2026, 6, 10), School.IN_LEAF, false)
                .look(may.minusDays(1), RootStage.CALLUS, 0);
        LayerProjection warned = layer.asOf(may, in(frosty, tender));
        assertThat(step(warned)).isEqualTo(NextStep.PROTECT);
        assertThat(job(warned, NextStep.PROTECT.name()).orElseThrow().by()).isEqualTo(may);
        layer.on(may, new LayerRecord.Tended(Work.PROTECT, null));
        assertThat(job(layer.asOf(may.plusDays(1), in(frosty, tender)), NextStep.PROTECT.name()))
                .isEmpty();
    }

    @Test
    void a_full_small_ball_is_outgrown_from_the_day_on_which_frost_is_far() {
        LocalDate full = LocalDate.of(2027, 5, 15);
        Carrow kept = new Carrow()
                .setOn(LocalDate.of(2027, 2, 10), School.DORMANT, false)
                .look(full, RootStage.FILLED, 3);
        FrostCalendar late =
                new FrostCalendar(MonthDay.of(11, 8), MonthDay.of(10, 20), MonthDay.of(5, 8), MonthDay.of(6, 2));
        LayerContext cold = Carrow.context(Carrow.QUINCE, maritime(late, Map.of()), SMALL, true);
        LocalDate lastLate = LocalDate.of(2027, 6, 2);
        LayerProjection before = kept.asOf(lastLate.minusDays(3), cold);
        assertThat(step(before)).isEqualTo(NextStep.HOLD_DORMANT);
        assertThat(job(before, AlsoDo.UPSIZE.name())).isEmpty();
        LayerProjection after = kept.asOf(lastLate.plusDays(3), cold);
        assertThat(step(after)).isEqualTo(NextStep.HOLD_DORMANT);
        assertThat(job(after, AlsoDo.UPSIZE.name()).orElseThrow().from())
                .isBetween(lastLate.minusDays(1), lastLate.plusDays(1));
    }

    @Test
    void one_look_that_found_less_does_not_begin_the_winter_anew() {
        LocalDate september = LocalDate.of(2026, 9, 10);
        Carrow layer = new Carrow()
                .setOn(MAY, School.SPRING, false)
                .look(september, RootStage.FILLED, 3)
                .look(september.plusDays(30), RootStage.ROOTED, 3)
                .look(september.plusDays(60), RootStage.FILLED, 3);
        assertThat(Replay.of(layer.journal()).fullOn()).isEqualTo(september);
        layer.look(september.plusDays(90), RootStage.ROOTED, 3).look(september.plusDays(120), RootStage.ROOTED, 3);
        assertThat(Replay.of(layer.journal()).fullOn()).isNull();
        layer.look(september.plusDays(150), RootStage.FILLED, 3);
        assertThat(Replay.of(layer.journal()).fullOn()).isEqualTo(september.plusDays(150));
    }
}
