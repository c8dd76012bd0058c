package org.kindgirdle.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.plan.Chances;
import org.kindgirdle.core.set.Difficulty;

class LearnedTimeTest {

    @Test
    void with_no_record_it_is_the_profile() {
        LearnedTime learned = LearnedTime.from(HouseRules.SHIPPED, 40, List.of());
        assertThat(learned.medianThermalDays()).isCloseTo(40, within(1e-6));
        assertThat(learned.sigma()).isCloseTo(.25, within(1e-6));
        assertThat(learned.records()).isZero();
    }

    @Test
    void with_many_it_is_what_they_say_whatever_the_profile_was() {
        List<Interval> looks = looks(2000, 55, .18);
        LearnedTime learned = LearnedTime.from(HouseRules.SHIPPED, 30, looks);
        assertThat(learned.medianThermalDays()).isCloseTo(55, within(1.0));
        assertThat(learned.sigma()).isCloseTo(.18, within(.015));
        assertThat(learned.records()).isEqualTo(2000);
        List<Interval> shuffled = new ArrayList<>(looks);
        Collections.shuffle(shuffled, new Random(1));
        assertThat(LearnedTime.from(HouseRules.SHIPPED, 30, shuffled).mu()).isCloseTo(learned.mu(), within(1e-7));
    }

    @Test
    void few_records_move_it_a_little_and_towards_what_was_seen() {
        double one = LearnedTime.from(HouseRules.SHIPPED, 40, looks(1, 60, .01)).medianThermalDays();
        double ten =
                LearnedTime.from(HouseRules.SHIPPED, 40, looks(10, 60, .01)).medianThermalDays();
        assertThat(one).isBetween(40.5, 57.0);
        assertThat(ten).isBetween(one, 61.0);
    }

    @Test
    void layers_never_seen_full_say_that_it_takes_longer() {
        List<Interval> open = Collections.nCopies(20, new Interval(70, Double.POSITIVE_INFINITY));
        assertThat(LearnedTime.from(HouseRules.SHIPPED, 40, open).medianThermalDays())
                .isGreaterThan(70);
    }

    @Test
    void records_far_from_the_profile_are_believed_and_not_lost() {
        LearnedTime learned = LearnedTime.from(HouseRules.SHIPPED, 20, Collections.nCopies(50, new Interval(400, 410)));
        assertThat(learned.medianThermalDays()).isBetween(300.0, 420.0);
        assertThat(learned.sigma()).isFinite().isPositive();
    }

    @Test
    void bad_figures_are_refused_with_what_they_are() {
        assertThatThrownBy(() -> LearnedTime.from(HouseRules.SHIPPED, Double.NaN, List.of()))
                .hasMessageContaining("NaN");
        assertThatThrownBy(() -> LearnedTime.from(HouseRules.SHIPPED, -4, List.of()))
                .hasMessageContaining("-4");
        assertThatThrownBy(() -> new Interval(5, 5)).hasMessageContaining("(5.0, 5.0]");
        assertThatThrownBy(() -> new Interval(Double.NaN, 5)).hasMessageContaining("NaN");
    }

    @Test
    void odds_begin_with_the_difficulty_move_with_the_recipe_and_end_with_the_counts() {
        Share nothing = new Share(0, 0);
        assertThat(Odds.rooting(HouseRules.SHIPPED, Difficulty.MODERATE, 1, nothing)
                        .chances()
                        .alpha())
                .isCloseTo(7, within(1e-12));
        Chances worse = Odds.rooting(HouseRules.SHIPPED, Difficulty.MODERATE, .5, nothing)
                .chances();
        assertThat(worse.mean()).isCloseTo(3.5 / 6.5, within(1e-12));
        assertThat(worse.alpha() + worse.beta()).isCloseTo(10, within(1e-12));
        assertThat(Odds.rooting(HouseRules.SHIPPED, Difficulty.DIFFICULT, 1, new Share(950, 1000))
                        .chances()
                        .mean())
                .isCloseTo(.945, within(.005));
        assertThat(Odds.establishing(HouseRules.SHIPPED, new Share(3, 4)))
                .isEqualTo(new Odds.Estimate(new Chances(11.5, 2.5), 4));
        assertThatThrownBy(() -> Odds.rooting(HouseRules.SHIPPED, Difficulty.EASY, 0, nothing))
                .hasMessageContaining("recipeOdds");
    }

    /** Looks every 9 thermal days at layers that become full at a seeded lognormal time. */
    private static List<Interval> looks(int layers, double median, double sigma) {
        Random seeded = new Random(7);
        List<Interval> looks = new ArrayList<>();
        for (int i = 0; i < layers; i++) {
            double ready = median * Math.exp(sigma * seeded.nextGaussian());
            double low = 9 * Math.floor(ready / 9);
            looks.add(new Interval(low, low + 9));
        }
        return looks;
    }
}
