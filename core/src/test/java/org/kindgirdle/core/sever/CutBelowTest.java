package org.kindgirdle.core.sever;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.kindgirdle.core.house.HouseRules;

class CutBelowTest {

    @Test
    void a_layer_is_cut_a_thumb_below_its_ball_or_as_the_house_says() {
        assertThat(CutBelow.of(HouseRules.SHIPPED)).isEqualTo(new CutBelow(10, 20));
        assertThat(CutBelow.of(HouseRules.SHIPPED.with("sever.below-to", 35))).isEqualTo(new CutBelow(10, 35));
        assertThat(CutBelow.of(HouseRules.SHIPPED.with("sever.below-from", 30)))
                .as("never farther from than to")
                .isEqualTo(new CutBelow(30, 30));
    }
}
