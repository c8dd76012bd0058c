package org.kindgirdle.core.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.Checklist.Step;

class BenchSumsTest {

    private static CoverAdvice.Under under(Cover cover, double thermalDays, double hottestC) {
        return new CoverAdvice.Under(cover, thermalDays, hottestC);
    }

    private static CoverAdvice cover(Cover planned, boolean algae, double... thermalDaysAndHottest) {
        List<CoverAdvice.Under> all = new ArrayList<>();
        for (Cover one : Cover.values()) {
            int i = 2 * one.ordinal();
            all.add(under(one, thermalDaysAndHottest[i], thermalDaysAndHottest[i + 1]));
        }
        return CoverAdvice.of(HouseRules.SHIPPED, planned, all, algae);
    }

    /** Line 12: "black or foil" against algae stood beside "foil over it today" where black made 47 C. */
    @Test
    void line_12_one_cover_is_advised_and_never_one_that_cooks_the_ball() {
        assertThat(List.of(Cover.values())).containsExactly(Cover.CLEAR, Cover.BLACK, Cover.FOIL, Cover.WHITE);
        // a hot summer: black and clear cook it
        CoverAdvice algae = cover(Cover.CLEAR, true, 11, 45, 10, 47, 9, 36, 9.5, 37);
        assertThat(algae.best()).isEqualTo(Cover.FOIL);
        assertThat(algae.worthChanging()).isTrue();
        // a cool autumn: black keeps the light off and warms it
        CoverAdvice autumn = cover(Cover.CLEAR, true, 6, 24, 6.5, 26, 4, 16, 4.3, 17);
        assertThat(autumn.best()).isEqualTo(Cover.BLACK);
        assertThat(autumn.reason()).isEqualTo(CoverAdvice.Reason.ALGAE);
        // under foil algae need no other cover
        assertThat(cover(Cover.FOIL, true, 6, 24, 6.5, 26, 4, 16, 4.3, 17).worthChanging())
                .isFalse();
        // where all cook it, and where none gains more, foil
        assertThat(cover(Cover.BLACK, false, 3, 48, 3, 50, 4, 41, 4, 42).best()).isEqualTo(Cover.FOIL);
        assertThat(cover(Cover.WHITE, false, 7, 22, 7, 22, 7, 22, 7, 22).best()).isEqualTo(Cover.FOIL);
        assertThat(cover(Cover.WHITE, false, 7, 22, 7, 22, 7, 22, 7, 22).worthChanging())
                .isFalse();
        // a change is worth it from a tenth more
        assertThat(cover(Cover.FOIL, false, 10.9, 30, 10.5, 31, 10, 25, 10, 25).reason())
                .isEqualTo(CoverAdvice.Reason.AS_GOOD);
        assertThat(cover(Cover.FOIL, false, 11.1, 30, 10.5, 31, 10, 25, 10, 25).reason())
                .isEqualTo(CoverAdvice.Reason.WARMER);
        assertThat(cover(Cover.BLACK, false, 9, 37, 9, 39, 8, 30, 8, 31).reason())
                .isEqualTo(CoverAdvice.Reason.BALL_TOO_HOT);
    }

    @Test
    void a_days_list_adds_up_over_the_batches() {
        RingAndBall ball = RingAndBall.of(HouseRules.SHIPPED, 18, false, false);
        MediumMix moss = MediumMix.of("moss");
        MediumMix mix = new MediumMix(
                List.of(new MediumMix.Ingredient("moss", 1, 1), new MediumMix.Ingredient("perlite", 1, 1)),
                List.of(new MediumMix.Additive("root fungi", 2, MediumMix.DoseUnit.G)));
        Recipe film = recipe(Method.AIR, Wound.RING_SCRAPED, 3000, Wrap.TIED_FILM, Cover.FOIL);
        Recipe bag = recipe(Method.AIR, Wound.UNWOUNDED, 0, Wrap.SLIT_BAG, Cover.CLEAR);
        Recipe stronger = recipe(Method.GROUND, Wound.RING_SCRAPED, 8000, Wrap.IN_GROUND, Cover.FOIL);
        ShoppingList list = ShoppingList.of(
                HouseRules.SHIPPED,
                List.of(
                        new ShoppingList.Batch(10, ball.withMediumMl(400), film, moss, 4),
                        new ShoppingList.Batch(4, ball.withMediumMl(500), bag, mix, 1),
                        new ShoppingList.Batch(2, ball, stronger, mix, 4)));
        assertThat(list.ingredients().get("moss").wetL()).isCloseTo(1.15 * (4 + 1), within(1e-12));
        assertThat(list.ingredients().get("perlite").wetL()).isCloseTo(1.15, within(1e-12));
        assertThat(list.doses().get("root fungi")).isCloseTo(1.15 * 2 * 2, within(1e-12));
        assertThat(list.filmCm2()).isCloseTo(10 * ball.filmCm2(), within(1e-9));
        assertThat(list.foilCm2()).isCloseTo(10 * ball.filmCm2(), within(1e-9));
        assertThat(list.ties()).isEqualTo(28);
        assertThat(list.containers()).isEqualTo(4);
        assertThat(list.labels()).isEqualTo(16);
        assertThat(list.hormoneMl()).containsExactly(Map.entry(3000.0, 5.0), Map.entry(8000.0, 1.0));
        assertThat(list.hormoneInAllMl()).isEqualTo(6);
        assertThat(list.minutes()).isEqualTo(52);
        assertThat(ShoppingList.of(HouseRules.SHIPPED, List.of()).ingredients()).isEmpty();
    }

    private static Recipe recipe(Method method, Wound wound, double hormonePpm, Wrap wrap, Cover cover) {
        return new Recipe(method, wound, hormonePpm, Medium.MOSS, wrap, cover, 0, 0);
    }

    @Test
    void a_container_fits_the_ball_or_says_how_not() {
        assertThat(ContainerFit.of(HouseRules.SHIPPED, 200, 400)).isEqualTo(ContainerFit.TOO_SMALL);
        assertThat(ContainerFit.of(HouseRules.SHIPPED, 400, 400)).isEqualTo(ContainerFit.FITS);
        assertThat(ContainerFit.of(HouseRules.SHIPPED, 900, 400)).isEqualTo(ContainerFit.TOO_LARGE);
        assertThatThrownBy(() -> ContainerFit.of(HouseRules.SHIPPED, 0, 400)).hasMessageContaining("containerMl");
    }

    @Test
    void a_scraped_ring_is_cut_peeled_and_scraped_before_it_is_dressed() {
        assertThat(Checklist.of(recipe(Method.AIR, Wound.RING_SCRAPED, 3000, Wrap.TIED_FILM, Cover.FOIL), true))
                .containsExactly(
                        Step.WATER_THE_MOTHER,
                        Step.TRY_THE_BARK,
                        Step.CLEAN_BLADE,
                        Step.STRIP_LEAVES_UNDER_THE_BALL,
                        Step.TAKE_OFF_FRUIT_BEYOND,
                        Step.UPPER_CUT,
                        Step.LOWER_CUT,
                        Step.SLIT,
                        Step.PEEL,
                        Step.SCRAPE,
                        Step.DRESS_WITH_HORMONE,
                        Step.SQUEEZE_MEDIUM,
                        Step.WRAP_TIGHT,
                        Step.TIE,
                        Step.COVER,
                        Step.PROP,
                        Step.LABEL);
    }

    /** Line 17: sap cautions stood at the peel, and hormone was brushed onto running latex. */
    @Test
    void line_17_sap_is_warned_of_at_the_first_cut_and_latex_is_stopped_before_the_hormone() {
        Recipe ring = recipe(Method.AIR, Wound.RING_SCRAPED, 3000, Wrap.TIED_FILM, Cover.FOIL);
        List<Step> steps = Checklist.of(ring, false, true);
        Step first = steps.stream()
                .filter(step -> step.cautions().contains(Checklist.Caution.SAP))
                .findFirst()
                .orElseThrow();
        assertThat(steps.indexOf(first)).isLessThanOrEqualTo(steps.indexOf(Step.TRY_THE_BARK));
        assertThat(steps.indexOf(Step.STOP_LATEX)).isEqualTo(steps.indexOf(Step.DRESS_WITH_HORMONE) - 1);
        assertThat(Checklist.of(ring, false, false)).doesNotContain(Step.STOP_LATEX);
        assertThat(Checklist.of(recipe(Method.AIR, Wound.RING_SCRAPED, 0, Wrap.TIED_FILM, Cover.FOIL), false, true))
                .doesNotContain(Step.STOP_LATEX);
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void nothing_is_cut_before_the_blade_is_clean(Method method) {
        for (Wound wound : method.wounds()) {
            List<Step> steps = Checklist.of(
                    recipe(method, wound, 0, method.wraps().iterator().next(), Cover.CLEAR), false);
            assertThat(steps).doesNotContain(Step.DRESS_WITH_HORMONE, Step.PROP, Step.COVER);
            if (steps.contains(Step.UPPER_CUT)) {
                assertThat(steps.indexOf(Step.CLEAN_BLADE)).isLessThan(steps.indexOf(Step.UPPER_CUT));
            }
        }
    }

    @Test
    void what_buries_the_base_or_darkens_a_shoot_leaves_something_in_the_light() {
        assertThat(Checklist.of(recipe(Method.POT_STOOL, Wound.RING_SCRAPED, 0, Wrap.SPLIT_POT, Cover.CLEAR), false))
                .contains(Step.KEEP_A_SHOOT_IN_THE_LIGHT);
        assertThat(Checklist.of(recipe(Method.FOIL_START, Wound.UNWOUNDED, 0, Wrap.FOIL_ONLY, Cover.CLEAR), false))
                .contains(Step.LEAVE_TWO_NODES_BETWEEN);
    }

    @Test
    void cautions_stand_where_they_bite() {
        assertThat(Step.UPPER_CUT.cautions()).containsExactly(Checklist.Caution.BLADE);
        assertThat(Step.DRESS_WITH_HORMONE.cautions()).containsExactly(Checklist.Caution.HORMONE);
        assertThat(Step.LABEL.cautions()).isEmpty();
    }
}
