package org.kindgirdle.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.core.units.OutOfRangeException;

class ShareTest {

    @Test
    void none_all_and_nothing_come_out_right() {
        assertThat(new Share(0, 0).low()).isZero();
        assertThat(new Share(0, 0).high()).isEqualTo(1);
        assertThat(new Share(0, 20).low()).isZero();
        assertThat(new Share(0, 20).high()).isCloseTo(.1611, within(1e-4));
        assertThat(new Share(20, 20).low()).isCloseTo(1 - new Share(0, 20).high(), within(1e-12));
        assertThat(new Share(20, 20).high()).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"1, 3", "5, 12", "40, 44", "500, 1000"})
    void the_interval_holds_the_share_and_narrows_with_numbers(int successes, int n) {
        Share few = new Share(successes, n);
        Share many = new Share(10 * successes, 10 * n);
        assertThat(few.value()).isBetween(few.low(), few.high());
        assertThat(many.low()).isGreaterThan(few.low());
        assertThat(many.high()).isLessThan(few.high());
    }

    @ParameterizedTest
    @CsvSource({"-1, 3", "4, 3", "0, -1"})
    void no_more_successes_than_tries(int successes, int n) {
        assertThatThrownBy(() -> new Share(successes, n)).isInstanceOf(OutOfRangeException.class);
    }

    /** Fisher's tasting of tea: four of four and none of four, 2/70; three of four, 34/70. */
    @Test
    void fishers_own_case() {
        assertThat(arms(4, 4, 0, 4).fisherP()).isCloseTo(2 / 70.0, within(1e-12));
        assertThat(arms(3, 4, 1, 4).fisherP()).isCloseTo(34 / 70.0, within(1e-12));
    }

    @Test
    void the_arms_may_be_exchanged_and_an_empty_one_tells_nothing() {
        assertThat(arms(7, 12, 2, 15).fisherP()).isEqualTo(arms(2, 15, 7, 12).fisherP());
        assertThat(arms(0, 0, 3, 5).fisherP()).isEqualTo(1);
        assertThat(arms(7, 12, 2, 15).differenceLow())
                .isCloseTo(-arms(2, 15, 7, 12).differenceHigh(), within(1e-12));
    }

    /** Newcombe (1998), table II, case a: 56 of 70 and 48 of 80 differ by 0.2, from 0.0524 to 0.3339. */
    @Test
    void newcombes_own_case() {
        TwoShares arms = arms(56, 70, 48, 80);
        assertThat(arms.difference()).isCloseTo(.2, within(1e-12));
        assertThat(arms.differenceLow()).isCloseTo(.0524, within(1e-4));
        assertThat(arms.differenceHigh()).isCloseTo(.3339, within(1e-4));
    }

    @Test
    void a_smaller_difference_needs_more_layers() {
        assertThat(TrialSize.perArm(.6, .8, .05, .8)).isBetween(82, 92);
        assertThat(TrialSize.perArm(.6, .7, .05, .8)).isGreaterThan(TrialSize.perArm(.6, .8, .05, .8));
        assertThat(TrialSize.perArm(.6, .8, .05, .9)).isGreaterThan(TrialSize.perArm(.6, .8, .05, .8));
        assertThat(TrialSize.perArm(.6, .8, .01, .8)).isGreaterThan(TrialSize.perArm(.6, .8, .05, .8));
        assertThat(TrialSize.perArm(.8, .6, .05, .8)).isEqualTo(TrialSize.perArm(.6, .8, .05, .8));
        assertThatThrownBy(() -> TrialSize.perArm(.6, .6, .05, .8)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> TrialSize.perArm(Double.NaN, .6, .05, .8)).hasMessageContaining("shareA is NaN");
    }

    private static TwoShares arms(int a, int of, int b, int ofB) {
        return new TwoShares(new Share(a, of), new Share(b, ofB));
    }
}
