package org.kindgirdle.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.house.HouseRules;

class LearnedSupplyTest {

    private static final HouseRules RULES = HouseRules.SHIPPED;

    @Test
    void with_no_plant_it_is_the_figure_of_the_house_with_its_spread() {
        LearnedSupply none = LearnedSupply.from(RULES, 6, List.of());
        assertThat(none.cm2PerMl()).isCloseTo(6, within(.01));
        // a tenth of a normal lies 1.2816 spreads below its middle
        assertThat(none.low()).isCloseTo(6 * Math.exp(-1.2816 * .35), within(.01));
        assertThat(none.high()).isCloseTo(6 * Math.exp(1.2816 * .35), within(.03));
    }

    @Test
    void what_stood_raises_it_what_wilted_lowers_it_and_both_only_where_they_say_something() {
        double stood = LearnedSupply.from(RULES, 6, List.of(new LearnedSupply.Plant(8, false)))
                .cm2PerMl();
        double wilted = LearnedSupply.from(RULES, 6, List.of(new LearnedSupply.Plant(4, true)))
                .cm2PerMl();
        double idle = LearnedSupply.from(RULES, 6, List.of(new LearnedSupply.Plant(1, false)))
                .cm2PerMl();
        assertThat(stood).isGreaterThan(6.5);
        assertThat(wilted).isLessThan(5.7);
        assertThat(idle).isCloseTo(6, within(.02));
    }

    @Test
    void many_plants_find_the_truth_that_made_them_wilt_and_narrow_it() {
        for (double truth : new double[] {3.5, 6, 9}) {
            Random random = new Random(7);
            List<LearnedSupply.Plant> plants = new ArrayList<>();
            for (int i = 0; i < 200; i++) {
                double asked = 6 * Math.exp(random.nextGaussian() * .5);
                double bears = truth * Math.exp(random.nextGaussian() * .35);
                plants.add(new LearnedSupply.Plant(asked, asked > bears || random.nextInt(10) == 0));
            }
            LearnedSupply learned = LearnedSupply.from(RULES, 6, plants);
            assertThat(learned.cm2PerMl()).isCloseTo(truth, within(.15 * truth));
            assertThat(learned.high() / learned.low()).isLessThan(1.25);
            assertThat(learned.plants()).isEqualTo(200);
            assertThat(learned.wilted()).isEqualTo((int)
                    plants.stream().filter(LearnedSupply.Plant::wilted).count());
        }
    }

    @Test
    void one_that_wilted_of_something_else_does_not_overturn_what_is_believed() {
        List<LearnedSupply.Plant> plants = new ArrayList<>();
        plants.add(new LearnedSupply.Plant(1.5, true));
        for (int i = 0; i < 7; i++) {
            plants.add(new LearnedSupply.Plant(1.5, false));
        }
        assertThat(LearnedSupply.from(RULES, 6, plants).cm2PerMl()).isCloseTo(6, within(.3));
    }

    @Test
    void nothing_is_learned_from_a_plant_that_asked_nothing() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new LearnedSupply.Plant(0, true))
                .withMessageContaining("askedCm2PerMl");
    }
}
