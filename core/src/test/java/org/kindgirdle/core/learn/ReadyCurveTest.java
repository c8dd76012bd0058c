package org.kindgirdle.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ReadyCurveTest {

    /**
     * The radiotherapy arm of the cosmesis trial of Finkelstein and Wolfe (1985, Biometrics 41:933-945), and the
     * estimate for it in Klein and Moeschberger (2003, Survival Analysis, 2nd ed., section 5.2).
     */
    @Test
    void agrees_with_the_worked_case_of_the_literature() {
        List<Interval> arm =
                intervals("45- 6-10 0-7 46- 46- 7-16 17- 7-14 37-44 0-8 4-11 15- 11-15 22- 46- 46- 25-37 46- "
                        + "26-40 46- 27-34 36-44 46- 36-48 37- 40- 17-25 46- 11-18 38- 5-12 37- 0-5 18- 24- 36- 5-11 19-35 17-25 "
                        + "24- 32- 33- 19-26 37- 34- 36-");
        ReadyCurve curve = ReadyCurve.of(arm);
        assertThat(arm).hasSize(46);
        assertThat(curve.converged()).isTrue();
        double[][] survival = {{5, .954}, {7, .920}, {8, .832}, {12, .761}, {25, .668}, {34, .586}, {40, .467}};
        for (double[] row : survival) {
            // three digits, found by an iteration that was ended early: the last of them is .4656 when it is not
            assertThat(1 - curve.readyBy(row[0])).as("at " + row[0]).isCloseTo(row[1], within(.0016));
        }
    }

    @Test
    void of_exact_knowledge_it_is_the_share_that_was_ready() {
        List<Interval> looks = intervals("0-10 0-10 10-20 20-30 20-");
        ReadyCurve curve = ReadyCurve.of(looks);
        assertThat(curve.readyBy(9.9)).isZero();
        assertThat(curve.readyBy(10)).isCloseTo(.4, within(1e-9));
        assertThat(curve.readyBy(20)).isCloseTo(.6, within(1e-9));
        assertThat(curve.readyBy(1e6)).isBetween(.6, 1.0);
    }

    @Test
    void does_not_depend_on_the_order_and_never_falls() {
        Random seeded = new Random(20260710);
        List<Interval> looks = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            double low = Math.round(seeded.nextDouble() * 80);
            looks.add(new Interval(
                    low, seeded.nextInt(5) == 0 ? Double.POSITIVE_INFINITY : low + 1 + seeded.nextInt(25)));
        }
        ReadyCurve curve = ReadyCurve.of(looks);
        Collections.shuffle(looks, seeded);
        ReadyCurve again = ReadyCurve.of(looks);
        double before = 0;
        for (double t = 0; t < 120; t += .5) {
            assertThat(curve.readyBy(t)).isGreaterThanOrEqualTo(before).isCloseTo(again.readyBy(t), within(1e-6));
            before = curve.readyBy(t);
        }
        assertThat(curve.steps().stream().mapToDouble(ReadyCurve.Step::mass).sum())
                .isCloseTo(1, within(1e-5));
    }

    @Test
    void of_nothing_there_is_no_curve() {
        assertThatThrownBy(() -> ReadyCurve.of(List.of())).hasMessageContaining("at least one record");
    }

    private static List<Interval> intervals(String text) {
        return new ArrayList<>(Arrays.stream(text.split(" "))
                .map(one -> one.split("-", 2))
                .map(ends -> new Interval(
                        Double.parseDouble(ends[0]),
                        ends[1].isEmpty() ? Double.POSITIVE_INFINITY : Double.parseDouble(ends[1])))
                .toList());
    }
}
