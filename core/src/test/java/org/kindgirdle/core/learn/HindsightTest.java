package org.kindgirdle.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class HindsightTest {

    private static final LocalDate MAY = LocalDate.of(2026, 5, 1);
    private static final Hindsight.Said SAID =
            new Hindsight.Said(MAY, MAY.plusDays(50), MAY.plusDays(60), MAY.plusDays(75));

    @ParameterizedTest
    @CsvSource({
        // seen full within the range, before it, after it, beyond all that was thought possible
        "55, 70, 1, ",
        "30, 45, 0, ",
        "80, 85, 0, ",
        "120, 130, 0, 65",
        // full at the first look: most of what was said lies in the range
        "0, 60, 0.8, -10"
    })
    void a_range_held_as_far_as_the_days_in_question_lie_in_it(int after, int by, double held, Double late) {
        Hindsight seen = new Hindsight(MAY.plusDays(after), MAY.plusDays(by));
        assertThat(seen.held(SAID)).isCloseTo(held, within(1e-9));
        if (late != null) {
            assertThat(seen.lateByDays(SAID)).isCloseTo(late, within(8.0));
        }
    }

    /** However seldom anybody looks, dates that are right hold four times in five, and are off nowhere on average. */
    @ParameterizedTest
    @ValueSource(ints = {1, 7, 21, 45})
    void an_honest_forecast_is_found_honest(int daysBetweenLooks) {
        Random random = new Random(daysBetweenLooks);
        double held = 0;
        double late = 0;
        int n = 20_000;
        for (int i = 0; i < n; i++) {
            double day = SAID.day(random.nextDouble());
            int first = random.nextInt(daysBetweenLooks) + 1;
            int looks = (int) Math.max(0, Math.ceil((day - MAY.toEpochDay() - first) / daysBetweenLooks));
            int by = first + looks * daysBetweenLooks;
            int after = looks == 0 ? 0 : by - daysBetweenLooks;
            Hindsight seen = new Hindsight(MAY.plusDays(after), MAY.plusDays(by));
            held += seen.held(SAID);
            late += seen.lateByDays(SAID);
        }
        assertThat(held / n).isCloseTo(.8, within(.01));
        double mean = 0;
        for (int i = 0; i < n; i++) {
            mean += SAID.day((i + .5) / n) - SAID.q50().toEpochDay();
        }
        assertThat(late / n).isCloseTo(mean / n, within(1.5));
    }

    @Test
    void it_is_found_full_after_the_last_look_that_did_not() {
        assertThatThrownBy(() -> new Hindsight(MAY, MAY)).hasMessageContaining("not after 2026-05-01");
    }
}
