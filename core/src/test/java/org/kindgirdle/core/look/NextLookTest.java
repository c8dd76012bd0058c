package org.kindgirdle.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Optional;
import java.util.function.DoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.house.HouseRules;

class NextLookTest {

    private static final LocalDate LAST = LocalDate.of(2026, 6, 1);
    private static final TimeToReady READY = TimeToReady.prior(40, .25);

    /** A place where each day counts one. */
    private static final DoubleFunction<Optional<LocalDate>> A_DAY_EACH =
            thermalDays -> Optional.of(LAST.plusDays((long) Math.ceil(thermalDays)));

    /** .55 of the tenth percentile is 15.97 thermal days, .8 of the median 32, .9 of it 36. */
    @ParameterizedTest
    @CsvSource({
        "NONE,     true,  16, 23",
        "CALLUS,   true,  16, 23",
        "NONE,     false, 32, 39",
        "CALLUS,   false, 32, 39",
        "INITIALS, true,  30, 30",
        "INITIALS, false, 30, 30",
        "ROOTED,   true,  21, 21",
        "ROOTED,   false, 21, 21",
        "FILLED,   true,  7,  7",
        "MATURE,   false, 7,  7"
    })
    void a_look_waits_for_something_to_see_and_no_longer_than_it_may(
            RootStage stage, boolean seenThrough, int from, int by) {
        assertThat(look(stage, seenThrough, A_DAY_EACH))
                .isEqualTo(new NextLook(LAST.plusDays(from), LAST.plusDays(by)));
    }

    @ParameterizedTest
    @CsvSource({
        "CALLUS, true, 14, 21", "CALLUS, false, 21, 28",
        "INITIALS, true, 10, 17", "INITIALS, false, 14, 21",
        "ROOTED, true, 7, 14", "ROOTED, false, 10, 17"
    })
    void however_fast_it_roots_it_is_not_opened_again_at_once(RootStage stage, boolean seenThrough, int from, int by) {
        assertThat(look(stage, seenThrough, thermalDays -> Optional.of(LAST.plusDays(1))))
                .isEqualTo(new NextLook(LAST.plusDays(from), LAST.plusDays(by)));
    }

    @ParameterizedTest
    @CsvSource({"NONE, 45", "INITIALS, 30", "ROOTED, 21"})
    void where_no_date_is_in_sight_it_is_looked_at_when_it_must_be(RootStage stage, int days) {
        assertThat(look(stage, true, thermalDays -> Optional.empty()))
                .isEqualTo(new NextLook(LAST.plusDays(days), LAST.plusDays(days)));
    }

    @ParameterizedTest
    @EnumSource(RootStage.class)
    void in_dormancy_only_the_wrap_is_looked_after(RootStage stage) {
        NextLook look = NextLook.after(HouseRules.SHIPPED, LAST, stage, true, false, false, READY, A_DAY_EACH);
        assertThat(look).isEqualTo(new NextLook(LAST.plusDays(45), LAST.plusDays(45)));
    }

    @Test
    void where_the_house_lets_a_look_wait_longest_less_than_at_least_the_least_counts() {
        HouseRules odd = HouseRules.SHIPPED.with("look.rooted.most", 7).with("look.rooted.opened-least", 20);
        NextLook look = NextLook.after(odd, LAST, RootStage.ROOTED, false, true, false, READY, A_DAY_EACH);
        assertThat(look).isEqualTo(new NextLook(LAST.plusDays(20), LAST.plusDays(20)));
    }

    @Test
    void a_full_ball_that_is_held_is_looked_at_once_a_month() {
        NextLook look = NextLook.after(HouseRules.SHIPPED, LAST, RootStage.FILLED, true, true, true, READY, A_DAY_EACH);
        assertThat(look).isEqualTo(new NextLook(LAST.plusDays(30), LAST.plusDays(30)));
    }

    private static NextLook look(
            RootStage stage, boolean seenThrough, DoubleFunction<Optional<LocalDate>> dayReaching) {
        return NextLook.after(HouseRules.SHIPPED, LAST, stage, seenThrough, true, false, READY, dayReaching);
    }
}
