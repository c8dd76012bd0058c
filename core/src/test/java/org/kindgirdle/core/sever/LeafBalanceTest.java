package org.kindgirdle.core.sever;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.units.OutOfRangeException;

class LeafBalanceTest {

    @Test
    void more_leaves_never_raise_the_share_that_stays() {
        Random seeded = new Random(42);
        for (int round = 0; round < 300; round++) {
            double medium = 50 + 1500 * seeded.nextDouble();
            double fill = seeded.nextDouble();
            double leaf = 5 + 300 * seeded.nextDouble();
            double vpd = 3 * seeded.nextDouble();
            RootStage stage = RootStage.values()[seeded.nextInt(6)];
            Shelter shelter = Shelter.values()[seeded.nextInt(4)];
            double before = 1;
            for (int leaves = 1; leaves < 60; leaves++) {
                LeafBalance balance =
                        LeafBalance.of(HouseRules.SHIPPED, 6, medium, fill, stage, leaves, leaf, vpd, shelter);
                double share = (double) balance.keep() / leaves;
                assertThat(share).isLessThanOrEqualTo(before);
                assertThat(balance.keep() + balance.remove()).isEqualTo(leaves);
                before = share;
            }
        }
    }

    @ParameterizedTest
    @EnumSource(RootStage.class)
    void fuller_riper_damper_and_better_sheltered_carries_more(RootStage stage) {
        LeafBalance usual = balance(.6, stage, 1.2, Shelter.OPEN_SHADE);
        assertThat(balance(.9, stage, 1.2, Shelter.OPEN_SHADE).carries()).isGreaterThanOrEqualTo(usual.carries());
        assertThat(balance(.6, stage, .8, Shelter.OPEN_SHADE).carries()).isGreaterThanOrEqualTo(usual.carries());
        assertThat(balance(.6, stage, 1.2, Shelter.MIST_TENT).carries()).isGreaterThan(usual.carries());
        assertThat(balance(.6, stage, 1.2, Shelter.OPEN_SUN).carries()).isLessThanOrEqualTo(usual.carries());
        assertThat(balance(.6, RootStage.MATURE, 1.2, Shelter.OPEN_SHADE).carries())
                .isGreaterThanOrEqualTo(usual.carries());
    }

    @Test
    void air_below_and_above_the_bounds_counts_as_the_bound() {
        assertThat(balance(.6, RootStage.FILLED, .1, Shelter.OPEN_SUN))
                .isEqualTo(balance(.6, RootStage.FILLED, .5, Shelter.OPEN_SUN));
        assertThat(balance(.6, RootStage.FILLED, 4, Shelter.OPEN_SUN))
                .isEqualTo(balance(.6, RootStage.FILLED, 2.5, Shelter.OPEN_SUN));
    }

    @Test
    void bare_of_roots_it_carries_nothing_and_says_so() {
        LeafBalance none = balance(0, RootStage.FILLED, 1, Shelter.MIST_TENT);
        assertThat(none.carries()).isZero();
        assertThat(none.remove()).isEqualTo(12);
        assertThat(none.ratio()).isInfinite();
    }

    @Test
    void what_cannot_be_is_refused() {
        for (double bad : new double[] {Double.NaN, -1, Double.POSITIVE_INFINITY}) {
            assertThatThrownBy(() -> LeafBalance.of(
                            HouseRules.SHIPPED, 6, bad, .5, RootStage.FILLED, 4, 20, 1, Shelter.OPEN_SUN))
                    .isInstanceOf(OutOfRangeException.class);
            assertThatThrownBy(() -> LeafBalance.of(
                            HouseRules.SHIPPED, 6, 300, bad, RootStage.FILLED, 4, 20, 1, Shelter.OPEN_SUN))
                    .isInstanceOf(OutOfRangeException.class);
            assertThatThrownBy(() -> LeafBalance.of(
                            HouseRules.SHIPPED, 6, 300, .5, RootStage.FILLED, 4, bad, 1, Shelter.OPEN_SUN))
                    .isInstanceOf(OutOfRangeException.class);
            assertThatThrownBy(() -> LeafBalance.of(
                            HouseRules.SHIPPED, 6, 300, .5, RootStage.FILLED, 4, 20, bad, Shelter.OPEN_SUN))
                    .isInstanceOf(OutOfRangeException.class);
        }
    }

    private static LeafBalance balance(double fill, RootStage stage, double vpd, Shelter shelter) {
        return LeafBalance.of(HouseRules.SHIPPED, 6, 400, fill, stage, 12, 30, vpd, shelter);
    }
}
