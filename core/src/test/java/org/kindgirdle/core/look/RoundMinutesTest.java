package org.kindgirdle.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.kindgirdle.core.house.HouseRules;

class RoundMinutesTest {

    @ParameterizedTest
    @CsvSource({
        "LOOK, 1",
        "TOP_UP, .5",
        "SEVER_NOW, 6",
        "GAMBLE, 6",
        "POT_UP, 6",
        "RERING, 4",
        "REWRAP, 3",
        "UPSIZE, 3",
        "LOOSEN_TIE, 1"
    })
    void each_job_takes_the_houses_minutes(String job, double minutes) {
        assertThat(RoundMinutes.of(HouseRules.SHIPPED, job)).isEqualTo(minutes);
    }

    @ParameterizedTest
    @EnumSource(NextStep.class)
    void what_cuts_a_layer_off_takes_the_minutes_of_severing_and_nothing_else_does(NextStep step) {
        double minutes = RoundMinutes.of(HouseRules.SHIPPED.with("minutes.sever", 11), step.name());
        assertThat(minutes == 11).isEqualTo(step.isSevering());
    }

    @Test
    void the_house_times_its_own_hands() {
        assertThat(RoundMinutes.of(HouseRules.SHIPPED.with("minutes.top-up", 2), "TOP_UP"))
                .isEqualTo(2);
    }
}
