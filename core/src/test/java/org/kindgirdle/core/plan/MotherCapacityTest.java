package org.kindgirdle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.units.OutOfRangeException;

class MotherCapacityTest {

    @ParameterizedTest
    @CsvSource({
        "60, 0, false, 20, 20, false",
        "60, 20, false, 20, 0, false",
        "60, 21, false, 20, 0, true",
        "61, 19, false, 20, 1, false",
        "60, 21, true, 30, 9, false",
        "0, 1, false, 0, 0, true",
        "2, 0, false, 0, 0, false",
    })
    void a_third_of_the_leafy_shoots_or_half_on_a_plant_that_goes(
            int shoots, int under, boolean cutDown, int most, int room, boolean exceeded) {
        MotherCapacity capacity = new MotherCapacity(shoots, under, cutDown, HouseRules.SHIPPED);
        assertThat(capacity.most()).isEqualTo(most);
        assertThat(capacity.room()).isEqualTo(room);
        assertThat(capacity.isExceeded()).isEqualTo(exceeded);
    }

    @Test
    void no_count_is_below_nothing() {
        assertThatThrownBy(() -> new MotherCapacity(-1, 0, false, HouseRules.SHIPPED))
                .isInstanceOf(OutOfRangeException.class)
                .hasMessageContaining("-1");
    }
}
