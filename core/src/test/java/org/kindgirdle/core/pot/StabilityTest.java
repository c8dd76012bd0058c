package org.kindgirdle.core.pot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.kindgirdle.core.house.HouseRules;

class StabilityTest {

    @Test
    void the_ballast_is_just_enough() {
        Stability light = Stability.of(HouseRules.SHIPPED, 2, .1, .5, 1, .02, .2, 12);
        assertThat(light.stands()).isFalse();
        Stability weighted = Stability.of(HouseRules.SHIPPED, 2 + light.ballastKg(), .1, .5, 1, .02, .2, 12);
        assertThat(weighted.tipsAtMs()).isCloseTo(12, within(1e-9));
        assertThat(weighted.ballastKg()).isCloseTo(0, within(1e-9));
    }

    @Test
    void wider_and_heavier_stands_more_taller_and_leafier_less() {
        double usual =
                Stability.of(HouseRules.SHIPPED, 4, .12, .4, 1, .02, .2, 8).tipsAtMs();
        assertThat(Stability.of(HouseRules.SHIPPED, 6, .12, .4, 1, .02, .2, 8).tipsAtMs())
                .isGreaterThan(usual);
        assertThat(Stability.of(HouseRules.SHIPPED, 4, .16, .4, 1, .02, .2, 8).tipsAtMs())
                .isGreaterThan(usual);
        assertThat(Stability.of(HouseRules.SHIPPED, 4, .12, .8, 1, .02, .2, 8).tipsAtMs())
                .isLessThan(usual);
        assertThat(Stability.of(HouseRules.SHIPPED, 4, .12, .4, 2, .02, .2, 8).tipsAtMs())
                .isLessThan(usual);
    }

    @Test
    void under_cover_no_wind_is_asked() {
        assertThat(Stability.of(HouseRules.SHIPPED, .5, .05, 1, 2, .02, .1, 0).stands())
                .isTrue();
    }

    @Test
    void what_cannot_be_is_refused() {
        for (double bad : new double[] {Double.NaN, 0, -1, Double.POSITIVE_INFINITY}) {
            assertThatThrownBy(() -> Stability.of(HouseRules.SHIPPED, bad, .1, .5, 1, .02, .2, 8))
                    .hasMessageContaining("massKg");
            assertThatThrownBy(() -> Stability.of(HouseRules.SHIPPED, 4, bad, .5, 1, .02, .2, 8))
                    .hasMessageContaining("baseRadiusM");
        }
        assertThatThrownBy(() -> Stability.of(HouseRules.SHIPPED, 4, .1, .5, 1, .02, .2, Double.NaN))
                .hasMessageContaining("mustStandMs");
    }
}
