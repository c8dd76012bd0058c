package org.kindgirdle.core.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.look.TopUp;
import org.kindgirdle.core.units.NotOneOfException;

class MethodTest {

    private static final HouseRules RULES = HouseRules.SHIPPED;

    private static Recipe recipe(Method method, Wound wound, Wrap wrap, double containerMl) {
        return new Recipe(method, wound, 0, Medium.MOSS, wrap, Cover.FOIL, 0, containerMl);
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void each_way_has_a_wound_a_wrap_and_steps_that_end_with_the_label(Method method) {
        Recipe recipe = recipe(
                method,
                method.wounds().iterator().next(),
                method.wraps().iterator().next(),
                0);
        List<Checklist.Step> steps = Checklist.of(recipe, true);
        assertThat(steps).doesNotHaveDuplicates().endsWith(Checklist.Step.LABEL);
        assertThat(steps.contains(Checklist.Step.PROP)).isEqualTo(method.hangs());
        assertThat(recipe.method().speed(RULES)).isPositive();
        assertThat(recipe.method().odds(RULES)).isPositive();
    }

    @Test
    void a_recipe_of_old_is_an_air_layer() {
        assertThat(recipe(null, Wound.RING_SCRAPED, Wrap.TIED_FILM, 0).method()).isEqualTo(Method.AIR);
    }

    @Test
    void what_does_not_go_together_is_refused_with_what_does() {
        assertThatThrownBy(() -> recipe(Method.SOFT_TIP, Wound.RING_SCRAPED, Wrap.TIED_FILM, 0))
                .isInstanceOfSatisfying(NotOneOfException.class, refused -> {
                    assertThat(refused.name()).isEqualTo("wound");
                    assertThat(refused.value()).isEqualTo(Wound.RING_SCRAPED);
                    assertThat(refused.allowed()).containsExactly("LEAF_STRIPPED", "UNWOUNDED");
                });
        assertThatThrownBy(() -> recipe(Method.AIR, Wound.RING_SCRAPED, Wrap.IN_GROUND, 0))
                .isInstanceOf(NotOneOfException.class)
                .hasMessageContaining("wrap");
    }

    @Test
    void foil_alone_has_no_ring_no_medium_and_no_water() {
        RingAndBall foil =
                recipe(Method.FOIL_START, Wound.UNWOUNDED, Wrap.FOIL_ONLY, 0).ball(RULES, 8, true, false);
        assertThat(foil.ringMm()).isZero();
        assertThat(foil.mediumMl()).isZero();
        assertThat(foil.filmCm2()).isCloseTo((Math.PI * 8 + 50) * 120 / 100, within(1e-9));
        TopUp none = TopUp.none(RULES);
        assertThat(none.waterToAddG(100)).isZero();
        assertThat(none.unsuitable()).isFalse();
    }

    @Test
    void a_container_holds_what_it_holds_and_the_ground_needs_no_medium() {
        Recipe pod = recipe(Method.AIR, Wound.RING_SCRAPED, Wrap.HINGED_POD, 200);
        RingAndBall ball = pod.ball(RULES, 18, false, false);
        assertThat(ball.mediumMl()).isEqualTo(200);
        assertThat(ball.ringMm()).isEqualTo(27);
        assertThat(pod.containerFit(RULES, 18, false)).isEqualTo(ContainerFit.TOO_SMALL);
        assertThat(pod.mediumToMixMl(ball)).isEqualTo(200);
        Recipe ground = recipe(Method.GROUND, Wound.BARK_SCRAPED, Wrap.IN_GROUND, 0);
        assertThat(ground.containerFit(RULES, 18, false)).isNull();
        assertThat(ground.mediumToMixMl(ground.ball(RULES, 18, false, false))).isZero();
    }

    @Test
    void a_pod_is_weighed_against_the_limb_and_the_ball() {
        RingAndBall asked = RingAndBall.of(RULES, 18, false, false);
        assertThat(ContainerFit.of(RULES, pod(400, 18), asked)).isEqualTo(ContainerFit.NARROWER_THAN_LIMB);
        assertThat(ContainerFit.of(RULES, pod(100, 60), asked)).isEqualTo(ContainerFit.TOO_SMALL);
        assertThat(ContainerFit.of(RULES, pod(asked.mediumMl(), 60), asked)).isEqualTo(ContainerFit.FITS);
        assertThat(ContainerFit.of(RULES, pod(5000, 60), asked)).isEqualTo(ContainerFit.TOO_LARGE);
        assertThat(pod(400, 60).mediumMl(18)).isCloseTo(400 - Math.PI / 4 * 18 * 18 * 90 / 1000, within(1e-9));
        assertThat(pod(10, 60).mediumMl(18)).isEqualTo(1);
        assertThatThrownBy(() -> new HouseContainer("film", Wrap.TIED_FILM, 100, 0, 90, 60))
                .isInstanceOf(NotOneOfException.class);
    }

    private static HouseContainer pod(double volumeMl, double acrossMm) {
        return new HouseContainer("pod", Wrap.HINGED_POD, volumeMl, 40, 90, acrossMm);
    }
}
