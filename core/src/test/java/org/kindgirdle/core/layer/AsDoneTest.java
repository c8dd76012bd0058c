package org.kindgirdle.core.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.set.BallAsWrapped;
import org.kindgirdle.core.set.HormoneFit;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.Watering;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.NotOneOfException;

/** What was really done goes before what was asked for, and what nobody measured is no figure. */
class AsDoneTest {

    private static final LocalDate JULY = LocalDate.of(2026, 7, 10);

    private static LayerRecord.Setting bare(Double ringMm, BallAsWrapped wrapped) {
        return new LayerRecord.Setting(
                12, ringMm, wrapped, null, null, null, null, null, null, School.IN_LEAF, false, false, null, null);
    }

    private static BallAsWrapped volume(double ml) {
        return new BallAsWrapped(null, null, ml, null);
    }

    @Test
    void a_heavier_ball_bends_its_limb_more_and_wants_water_later() {
        LayerProjection asked = new Carrow().on(Carrow.SET_ON, bare(null, null)).asOf(JULY);
        LayerProjection made =
                new Carrow().on(Carrow.SET_ON, bare(null, volume(450))).asOf(JULY);
        assertThat(made.ball().mediumMl()).isEqualTo(450);
        assertThat(made.load().massG()).isEqualTo(450 * .45, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(made.load().utilisation()).isGreaterThan(asked.load().utilisation());
        assertThat(Objects.requireNonNull(made.forecast()).topUpOn())
                .isAfterOrEqualTo(Objects.requireNonNull(asked.forecast()).topUpOn());
    }

    @Test
    void what_nobody_measured_is_named_and_taken_as_the_house_has_it() {
        LayerProjection layer = new Carrow().on(Carrow.SET_ON, bare(null, null)).asOf(JULY);
        LayerState state = layer.state();
        assertThat(state.unmeasured())
                .containsExactlyInAnyOrder(
                        Unmeasured.RING,
                        Unmeasured.WOOD,
                        Unmeasured.POSITION,
                        Unmeasured.LEAVES,
                        Unmeasured.FROM_UNION,
                        Unmeasured.LEAN);
        assertThat(state.set().leavesTaken(HouseRules.SHIPPED)).isEqualTo(8);
        assertThat(state.set().fromUnionTakenMm(HouseRules.SHIPPED)).isEqualTo(400);
        assertThat(state.set().leanTakenDeg(HouseRules.SHIPPED)).isEqualTo(30);
        // this quince bridges readily: a quarter wider than 20 mm
        assertThat(layer.ball().ringMm()).isEqualTo(25);
        assertThat(new Carrow().set().asOf(JULY).state().unmeasured()).isEmpty();
    }

    @Test
    void a_look_round_which_nobody_looked_scars_no_sectors() {
        Carrow specimen = new Carrow().setOn(Carrow.SET_ON, School.IN_LEAF, true);
        specimen.on(JULY, new LayerRecord.Looked(RootStage.FILLED, null, null, Set.of()));
        assertThat(step(specimen.asOf(JULY))).isEqualTo(NextStep.SEVER_NOW);
        assertThat(specimen.asOf(JULY).state().unmeasured()).contains(Unmeasured.SECTORS, Unmeasured.FILL);
        Carrow uneven = new Carrow().setOn(Carrow.SET_ON, School.IN_LEAF, true);
        uneven.on(
                JULY,
                new LayerRecord.Looked(RootStage.FILLED, new Sectors(List.of(3, 3, 3, 3, 0, 0, 0, 0)), null, Set.of()));
        assertThat(step(uneven.asOf(JULY))).isEqualTo(NextStep.RESCORE);
    }

    @Test
    void of_what_nobody_looked_round_it_is_told_that_it_may_be_uneven() {
        Carrow specimen = new Carrow().setOn(Carrow.SET_ON, School.IN_LEAF, true);
        specimen.on(JULY, new LayerRecord.Looked(RootStage.FILLED, null, null, Set.of()));
        LayerContext context = Carrow.context(Carrow.QUINCE);
        assertThat(ComingSteps.changes(Replay.of(specimen.journal()), context, JULY))
                .anyMatch(change -> change.to().name() == org.kindgirdle.core.look.NextStepFact.COVERAGE
                        && change.step() == NextStep.RESCORE);
    }

    @Test
    void a_new_ring_goes_by_its_own_wound_hormone_and_medium() {
        Carrow quince = new Carrow().set();
        quince.on(
                JULY,
                new LayerRecord.Rerung(
                        null,
                        null,
                        null,
                        Wound.RING_AND_TOURNIQUET,
                        20_000.0,
                        "",
                        Medium.HEAVY_SOIL,
                        volume(300),
                        true));
        LayerState state = Replay.of(quince.journal());
        LayerContext context = Carrow.context(Carrow.QUINCE);
        LayerContext made = context.asRerung(state);
        assertThat(made.recipe().wound()).isEqualTo(Wound.RING_AND_TOURNIQUET);
        assertThat(made.asRerung(state).recipe()).isEqualTo(made.recipe());
        LayerProjection layer = Projector.project(state, made, JULY);
        assertThat(layer.factors().hormoneFit()).isEqualTo(HormoneFit.ABOVE);
        assertThat(layer.factors().speed())
                .isLessThan(Projector.project(state, context, JULY).factors().speed());
        assertThat(layer.ball().mediumMl()).isEqualTo(300);
        assertThat(layer.load().massG()).isEqualTo(300 * 1.5, org.assertj.core.api.Assertions.within(1e-9));
        // 30 mm failed, and nobody measured the new one: it is taken as a quarter wider
        assertThat(made.ringMm(state)).isEqualTo(37.5);
        assertThat(state.attempts()).isEqualTo(1);
    }

    @Test
    void rings_that_nobody_measured_grow_by_a_quarter_each() {
        Carrow quince = new Carrow().on(Carrow.SET_ON, bare(null, null));
        LayerRecord.Rerung unsaid = new LayerRecord.Rerung(null, null, null);
        quince.on(JULY, unsaid).on(JULY.plusDays(1), unsaid);
        LayerContext context = Carrow.context(Carrow.QUINCE);
        assertThat(context.ringMm(Replay.of(quince.journal()))).isEqualTo(39.0625);
        quince.on(JULY.plusDays(2), new LayerRecord.Rerung(44));
        LayerState state = Replay.of(quince.journal());
        assertThat(context.ringMm(state)).isEqualTo(44);
        assertThat(state.unmeasured()).doesNotContain(Unmeasured.RING);
        assertThat(state.attempts()).isEqualTo(3);
    }

    @Test
    void a_ball_made_anew_is_the_one_that_was_made() {
        Carrow quince = new Carrow().set();
        quince.on(JULY, new LayerRecord.Tended(Work.UPSIZE, null, volume(900)));
        assertThat(quince.asOf(JULY).ball().mediumMl()).isEqualTo(900);
        quince.on(JULY.plusDays(1), new LayerRecord.Tended(Work.REWRAP, null));
        assertThat(quince.asOf(JULY.plusDays(1)).ball().mediumMl()).isEqualTo(900);
    }

    @Test
    void a_look_at_the_wrap_sees_no_roots() {
        Carrow quince = new Carrow().set().look(JULY, RootStage.INITIALS, 1, Condition.BRIDGED);
        LocalDate later = JULY.plusDays(5);
        quince.on(later, new LayerRecord.WrapSeen(Set.of(Condition.WRAP_OPEN), LayerRecord.Opener.SQUIRRELS));
        LayerState state = quince.asOf(later).state();
        assertThat(state.conditions()).containsExactlyInAnyOrder(Condition.BRIDGED, Condition.WRAP_OPEN);
        assertThat(state.looks()).hasSize(1);
        assertThat(state.stage()).isEqualTo(RootStage.INITIALS);
        quince.on(later.plusDays(1), new LayerRecord.WrapSeen(Set.of(), null));
        assertThat(quince.asOf(later.plusDays(1)).state().conditions()).containsExactly(Condition.BRIDGED);
        assertThatThrownBy(() -> new LayerRecord.WrapSeen(Set.of(Condition.ROT), null))
                .isInstanceOf(NotOneOfException.class);
    }

    @Test
    void a_ball_felt_dry_through_its_wrap_is_dry() {
        Carrow quince = new Carrow().set();
        LocalDate felt = Carrow.SET_ON.plusDays(3);
        LocalDate before = Objects.requireNonNull(quince.asOf(felt).forecast()).topUpOn();
        assertThat(before).isAfter(felt);
        quince.on(felt, new LayerRecord.WrapSeen(Set.of(Condition.DRY), null));
        assertThat(Objects.requireNonNull(quince.asOf(felt).forecast()).topUpOn())
                .isEqualTo(felt);
    }

    @Test
    void in_the_winter_a_look_at_the_wrap_is_all_that_is_asked() {
        LocalDate winter = LocalDate.of(2027, 1, 10);
        Carrow quince = new Carrow().set().look(LocalDate.of(2026, 11, 20), RootStage.CALLUS, 0);
        LocalDate asked = lookBy(quince.asOf(winter));
        quince.on(winter, new LayerRecord.WrapSeen(Set.of(), null));
        assertThat(asked).isBefore(winter);
        assertThat(lookBy(quince.asOf(winter))).isEqualTo(winter.plusDays(45));
    }

    @Test
    void a_recipe_waters_by_its_own_habit() {
        LocalDate day = Carrow.SET_ON.plusDays(2);
        Carrow quince = new Carrow().set();
        assertThat(topUp(quince.asOf(day, with(Watering.BY_THE_SUM)))).isNotEmpty();
        assertThat(topUp(quince.asOf(day, with(Watering.NEVER)))).isEmpty();
        assertThat(topUp(quince.asOf(day, with(Watering.WEEKLY))))
                .singleElement()
                .extracting(Job::by)
                .isEqualTo(Carrow.SET_ON.plusDays(7));
        quince.look(day, RootStage.NONE, 0, Condition.DRY);
        assertThat(step(quince.asOf(day, with(Watering.NEVER)))).isEqualTo(NextStep.REWET);
    }

    @Test
    void leaves_that_nobody_counted_teach_nothing_of_what_a_ball_carries() {
        assertThat(new LayerRecord.Severed(null, null, null, null, null, null, null).leavesDrawing())
                .isEmpty();
        assertThat(new LayerRecord.Severed(12, 6, 2, null, null, null, null).leavesDrawing())
                .hasValue(5);
        assertThat(new LayerRecord.Severed(null, null, null, null, null, null, null, true, 3).plantsTaken())
                .isEqualTo(3);
    }

    @Test
    void a_loss_by_something_else_says_by_what() {
        assertThatThrownBy(() -> new LayerRecord.Lost(LossCause.OTHER, "  ")).isInstanceOf(MissingValueException.class);
        assertThat(new LayerRecord.Lost(LossCause.OTHER, " a mower ").words()).isEqualTo("a mower");
        assertThat(new LayerRecord.Lost(LossCause.HORMONE_BURN).words()).isEmpty();
    }

    @Test
    void a_setting_is_put_right_in_place_of_the_first_one() {
        Carrow quince = new Carrow().set().look(JULY, RootStage.CALLUS, 0);
        quince.correct(0, bare(38.0, null));
        LayerState state = quince.asOf(JULY).state();
        assertThat(state.ringMm()).isEqualTo(38);
        assertThat(state.set().diameterMm()).isEqualTo(12);
        assertThat(state.looks()).hasSize(1);
        assertThat(state.conflicts()).isEmpty();
    }

    private static LayerContext with(Watering watering) {
        Recipe ring = Carrow.RING;
        return Carrow.context(
                Carrow.QUINCE,
                Carrow.climate(),
                new Recipe(
                        Method.AIR,
                        ring.wound(),
                        ring.hormonePpm(),
                        ring.medium(),
                        Wrap.TIED_FILM,
                        ring.cover(),
                        0,
                        0,
                        watering),
                true);
    }

    private static List<Job> topUp(LayerProjection layer) {
        return layer.jobs().stream()
                .filter(job -> job.code().equals(Job.TOP_UP))
                .toList();
    }

    private static LocalDate lookBy(LayerProjection layer) {
        return layer.jobs().stream()
                .filter(job -> job.code().equals(Job.LOOK))
                .findFirst()
                .orElseThrow()
                .by();
    }

    private static NextStep step(LayerProjection layer) {
        return Objects.requireNonNull(layer.verdict()).step();
    }
}
