package org.kindgirdle.core.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.house.HouseRules;

class TimeToReadyTest {

    @Test
    void quantiles_and_probabilities_undo_each_other_and_stay_in_the_interval() {
        Random random = new Random(7);
        for (int i = 0; i < 5000; i++) {
            double d50 = 15 + 200 * random.nextDouble();
            double sigma = .1 + .4 * random.nextDouble();
            double truth = d50 * Math.exp(sigma * random.nextGaussian());
            List<StageSeen> looks = new ArrayList<>();
            double g = 0;
            for (int look = 0; look < random.nextInt(5); look++) {
                g += truth * (.05 + .4 * random.nextDouble());
                looks.add(StageSeen.of(HouseRules.SHIPPED, RootStage.at(HouseRules.SHIPPED, g / truth), g));
            }
            TimeToReady ready = TimeToReady.after(d50, sigma, looks);
            assertThat(ready.looksAgree()).isTrue();
            assertThat(truth).isBetween(ready.low(), ready.high());
            double last = 0;
            for (double p : new double[] {.02, .1, .5, .9, .98}) {
                double q = ready.quantile(p);
                assertThat(q).isBetween(ready.low(), ready.high()).isGreaterThan(last);
                assertThat(ready.readyBy(q)).isCloseTo(p, within(1e-6));
                last = q;
            }
        }
    }

    @Test
    void the_stages_to_be_found_add_up_and_follow_the_heat() {
        TimeToReady time = TimeToReady.prior(40, .2);
        RootStage likeliestBefore = RootStage.NONE;
        for (double g = 0; g <= 80; g += 2) {
            Map<RootStage, Double> odds = time.stages(HouseRules.SHIPPED, g);
            assertThat(odds.values().stream().mapToDouble(Double::doubleValue).sum())
                    .isCloseTo(1, within(1e-12));
            RootStage likeliest = Collections.max(odds.entrySet(), Map.Entry.comparingByValue())
                    .getKey();
            assertThat(likeliest).isGreaterThanOrEqualTo(likeliestBefore);
            likeliestBefore = likeliest;
        }
        // a full ball is what is full or older: the mass that is ready by then
        Map<RootStage, Double> odds = time.stages(HouseRules.SHIPPED, 40);
        assertThat(odds.get(RootStage.FILLED) + odds.get(RootStage.MATURE)).isCloseTo(.5, within(1e-12));
        assertThat(time.stages(HouseRules.SHIPPED, 0)).containsEntry(RootStage.NONE, 1.0);
    }

    @Test
    void where_no_mass_is_left_one_point_stands_for_it() {
        TimeToReady late = TimeToReady.after(40, .1, List.of(StageSeen.of(HouseRules.SHIPPED, RootStage.NONE, 100)));
        assertThat(late.quantile(.5)).isCloseTo(1.05 * 100 / .3, within(1e-9));
        assertThat(late.readyBy(late.quantile(.5))).isEqualTo(1);
        assertThat(late.readyBy(late.quantile(.5) - 1e-6)).isZero();
    }

    @Test
    void not_a_number_is_refused() {
        assertThatThrownBy(() -> TimeToReady.prior(Double.NaN, .3)).hasMessageContaining("NaN");
        assertThatThrownBy(() -> TimeToReady.prior(40, .3).quantile(Double.NaN)).hasMessageContaining("NaN");
    }
}
