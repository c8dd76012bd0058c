package org.kindgirdle.core.set;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.RingPlacement.BallOver;

class RingPlacementTest {

    @Test
    void the_upper_cut_goes_just_below_its_node_and_the_ball_over_it() {
        assertThat(RingPlacement.of(HouseRules.SHIPPED, Position.BELOW_NODE, BallOver.UPPER_CUT))
                .isEqualTo(new RingPlacement(5, 10, 30, 20));
        assertThat(RingPlacement.of(HouseRules.SHIPPED, Position.AT_FORK, BallOver.CENTRED))
                .isEqualTo(new RingPlacement(5, 10, 25, 25));
        assertThat(RingPlacement.of(HouseRules.SHIPPED, Position.BETWEEN_NODES, BallOver.MOSTLY_BELOW))
                .isEqualTo(new RingPlacement(0, 0, 20, 30));
    }

    @ParameterizedTest
    @EnumSource(BallOver.class)
    void wherever_the_ball_goes_it_is_as_long(BallOver over) {
        RingPlacement placement = RingPlacement.of(HouseRules.SHIPPED, Position.NODE_IN_RING, over);
        RingAndBall ball = RingAndBall.of(HouseRules.SHIPPED, 18, false, false);
        assertThat(placement.aboveMm() + ball.ringMm() + placement.belowMm()).isEqualTo(ball.ballLengthMm());
    }
}
