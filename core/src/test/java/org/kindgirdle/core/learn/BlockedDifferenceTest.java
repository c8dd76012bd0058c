package org.kindgirdle.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class BlockedDifferenceTest {

    @Test
    void one_block_is_the_plain_difference_with_its_plain_interval() {
        BlockedDifference one = BlockedDifference.of(List.of(pair(18, 24, 10, 24)));
        assertThat(one.difference()).isCloseTo(8.0 / 24, within(1e-12));
        double spread = Math.sqrt(18.0 * 6 / (24 * 24 * 24) + 10.0 * 14 / (24 * 24 * 24));
        assertThat(one.high() - one.low()).isCloseTo(2 * Share.Z95 * spread, within(1e-12));
        assertThat(one.blocks()).isEqualTo(1);
    }

    @Test
    void mothers_that_differ_do_not_turn_a_difference_round() {
        // on each mother the first arm is ten points better; thrown together it would look worse
        BlockedDifference blocked = BlockedDifference.of(List.of(pair(9, 10, 72, 90), pair(27, 90, 2, 10)));
        assertThat(new TwoShares(new Share(36, 100), new Share(74, 100)).difference())
                .isNegative();
        assertThat(blocked.difference()).isCloseTo(.1, within(1e-12));
        assertThat(blocked.low()).isLessThan(.1);
    }

    @Test
    void a_block_with_one_arm_only_says_nothing_and_with_none_nothing_is_known() {
        BlockedDifference with = BlockedDifference.of(List.of(pair(5, 8, 3, 8), pair(4, 4, 0, 0)));
        assertThat(with).isEqualTo(BlockedDifference.of(List.of(pair(5, 8, 3, 8))));
        BlockedDifference nothing = BlockedDifference.of(List.of(pair(4, 4, 0, 0)));
        assertThat(nothing.difference()).isNaN();
        assertThat(nothing.low()).isEqualTo(-1);
        assertThat(nothing.high()).isEqualTo(1);
    }

    private static TwoShares pair(int a, int n, int b, int m) {
        return new TwoShares(new Share(a, n), new Share(b, m));
    }

    /** Line 14: one layer an arm gave "100 points worse (100 to 100)". */
    @Test
    void line_14_one_layer_an_arm_proves_next_to_nothing() {
        BlockedDifference one = BlockedDifference.of(List.of(new TwoShares(new Share(0, 1), new Share(1, 1))));
        assertThat(one.difference()).isEqualTo(-1);
        // Wilson: none of one reaches to 79 %, one of one from 21 %; Newcombe: -1 + sqrt(2) * 0.793
        assertThat(one.low()).isEqualTo(-1);
        assertThat(one.high()).isCloseTo(-1 + Math.sqrt(2) * .7935, within(2e-3));
        BlockedDifference many = BlockedDifference.of(List.of(new TwoShares(new Share(0, 40), new Share(40, 40))));
        assertThat(many.high()).isLessThan(-.85);
    }
}
