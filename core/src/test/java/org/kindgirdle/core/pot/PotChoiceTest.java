package org.kindgirdle.core.pot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.house.HouseRules;

class PotChoiceTest {

    private static final HousePot TWO = new HousePot("2 L", 165, 140, 2000, 60);
    private static final HousePot THREE = new HousePot("3 L", 190, 165, 3000, 80);
    private static final HousePot DEEP = new HousePot("3 L deep", 150, 230, 3200, 90);
    private static final List<HousePot> POTS = List.of(DEEP, THREE, TWO);

    @Test
    void the_smallest_with_25_mm_all_round_and_30_mm_below() {
        assertThat(PotChoice.smallest(HouseRules.SHIPPED, POTS, 97, 86, 399)).hasValue(new PotChoice(TWO, 1601));
        // 115 + 50 is just the width of the smallest
        assertThat(PotChoice.smallest(HouseRules.SHIPPED, POTS, 115, 110, 500))
                .map(PotChoice::pot)
                .hasValue(TWO);
        assertThat(PotChoice.smallest(HouseRules.SHIPPED, POTS, 115.1, 110, 500))
                .map(PotChoice::pot)
                .hasValue(THREE);
        assertThat(PotChoice.smallest(HouseRules.SHIPPED, POTS, 90, 180, 500))
                .map(PotChoice::pot)
                .hasValue(DEEP);
    }

    @Test
    void none_is_none() {
        assertThat(PotChoice.smallest(HouseRules.SHIPPED, POTS, 160, 90, 400)).isEmpty();
        assertThat(PotChoice.smallest(HouseRules.SHIPPED, List.of(), 60, 60, 100))
                .isEmpty();
    }

    @Test
    void what_cannot_be_is_refused() {
        assertThatThrownBy(() -> PotChoice.smallest(HouseRules.SHIPPED, POTS, Double.NaN, 86, 399))
                .hasMessageContaining("ballDiameterMm");
        assertThatThrownBy(() -> new HousePot("x", 5, 100, 500, 10)).hasMessageContaining("diameterMm");
    }
}
