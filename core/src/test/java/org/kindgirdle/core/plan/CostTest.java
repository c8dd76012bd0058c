package org.kindgirdle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.MediumMix;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.ShoppingList;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;

class CostTest {

    private static final HouseRules RULES = HouseRules.SHIPPED;

    private static final MediumMix.Ingredient MOSS = new MediumMix.Ingredient("moss", 1, 5);
    private static final MediumMix.Additive WORMS = new MediumMix.Additive("worm compost", 20, MediumMix.DoseUnit.G);
    private static final Recipe POD =
            new Recipe(Method.AIR, Wound.RING_SCRAPED, 2000, Medium.MOSS, Wrap.HINGED_POD, Cover.CLEAR, 40, 400);

    @Test
    void work_is_the_houses_minutes_for_what_is_done_to_each() {
        Effort ringed = Effort.of(RULES, 40, false, 3, 2, .75);
        assertThat(ringed).isEqualTo(new Effort(160, 120, 40, 180));
        assertThat(ringed.minutes()).isEqualTo(500);
        assertThat(Effort.of(RULES, 40, true, 0, 0, 0).minutes()).isEqualTo(40);
        assertThat(Effort.of(RULES.with("minutes.sever", 3), 40, false, 3, 2, .75)
                        .sever())
                .isEqualTo(90);
    }

    @Test
    void materials_and_work_are_priced_and_what_has_no_price_is_named() {
        RingAndBall ball = RingAndBall.of(RULES, 18, false, false);
        ShoppingList list = ShoppingList.of(
                RULES,
                List.of(new ShoppingList.Batch(
                        10, ball.withMediumMl(400), POD, new MediumMix(List.of(MOSS), List.of(WORMS)), 4)));
        Prices prices = new Prices(24, Map.of("moss", 2.0), 1.5, 9, .1, .5, 0, .2);
        Cost cost = Cost.of(prices, list, 100);
        assertThat(cost.work()).isEqualTo(40);
        assertThat(cost.materials().get("moss")).isCloseTo(1.15 * 4 / 5 * 2, within(1e-12));
        assertThat(cost.materials().get("TIES")).isCloseTo(2, within(1e-12));
        assertThat(cost.materials().get("CONTAINERS")).isEqualTo(5);
        assertThat(cost.materials().get("HORMONE")).isCloseTo(1, within(1e-12));
        assertThat(cost.materials()).doesNotContainKeys("FOIL", "FILM");
        assertThat(cost.unpriced()).containsExactly("LABELS", "worm compost");
        double total =
                cost.materials().values().stream().mapToDouble(one -> one).sum() + 40;
        assertThat(cost.total()).isCloseTo(total, within(1e-9));
        assertThat(cost.perLayer()).isCloseTo(total / 10, within(1e-9));
        assertThat(cost.perPlant(7)).isCloseTo(total / 7, within(1e-9));
        assertThat(cost.perPlant(0)).isInfinite();
    }

    @Test
    void work_without_a_wage_is_unpriced_and_nothing_costs_nothing() {
        Prices none = new Prices(0, Map.of(), 0, 0, 0, 0, 0, 0);
        Cost idle = Cost.of(none, ShoppingList.of(RULES, List.of()), 0);
        assertThat(idle.unpriced()).isEmpty();
        assertThat(idle.perLayer()).isZero();
        assertThat(Cost.of(none, ShoppingList.of(RULES, List.of()), 5).unpriced())
                .containsExactly("WORK");
    }
}
