package org.kindgirdle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LikelyNumberTest {

    private static final Chances CERTAIN = new Chances(9e6, .5);
    private static final Chances ROOTING = new Chances(7, 3);
    private static final Chances ESTABLISHING = new Chances(8.5, 1.5);

    @Test
    void with_nothing_under_way_it_is_what_is_there() {
        assertThat(LikelyNumber.of(7, List.of(), ROOTING, ESTABLISHING, 7)).isEqualTo(new LikelyNumber(7, 7, 7, 1));
        assertThat(LikelyNumber.of(7, List.of(), ROOTING, ESTABLISHING, 8).reachedP())
                .isZero();
    }

    /** Rooted layers alone are beta-binomial by the share that establishes: {@link NumbersWanted} says the same. */
    @ParameterizedTest
    @CsvSource({"20, 12", "20, 16", "20, 19", "60, 50"})
    void of_rooted_ones_it_is_the_beta_binomial(int layers, int wanted) {
        LikelyNumber number = LikelyNumber.of(0, layers(layers, true, 1), ROOTING, ESTABLISHING, wanted);
        assertThat(number.expected()).isCloseTo(layers * .85, within(.01 * layers));
        assertThat(number.reachedP()).isCloseTo(NumbersWanted.atLeast(ESTABLISHING, layers, wanted), within(.015));
    }

    @Test
    void on_the_mother_both_shares_count_and_so_does_time() {
        LikelyNumber all = LikelyNumber.of(0, layers(40, false, 1), ROOTING, ESTABLISHING, 20);
        assertThat(all.expected()).isCloseTo(40 * .7 * .85, within(.2));
        LikelyNumber half = LikelyNumber.of(0, layers(40, false, .5), ROOTING, ESTABLISHING, 20);
        assertThat(half.expected()).isCloseTo(all.expected() / 2, within(1e-9));
        assertThat(half.reachedP()).isLessThan(all.reachedP());
    }

    /** Ten, each as likely as not, and nothing else unknown: binomial, with 3 and 7 as its tenths. */
    @Test
    void of_known_shares_it_is_the_binomial() {
        LikelyNumber number = LikelyNumber.of(2, layers(10, true, .5), CERTAIN, CERTAIN, 7);
        assertThat(number.expected()).isCloseTo(7, within(1e-4));
        assertThat(number.low()).isEqualTo(2 + 3);
        assertThat(number.high()).isEqualTo(2 + 7);
        assertThat(number.reachedP()).isCloseTo(638 / 1024.0, within(1e-4));
    }

    @Test
    void many_are_reckoned_as_a_sum_and_agree_with_each_for_itself() {
        LikelyNumber each = LikelyNumber.of(0, layers(250, false, .9), ROOTING, ESTABLISHING, 125);
        LikelyNumber sum = LikelyNumber.of(0, layers(251, false, .9), ROOTING, ESTABLISHING, 125);
        assertThat(sum.expected()).isCloseTo(each.expected() * 251 / 250, within(.05));
        assertThat(sum.low()).isCloseTo(each.low(), within(2));
        assertThat(sum.high()).isCloseTo(each.high(), within(2));
        LikelyNumber sure = LikelyNumber.of(0, layers(700, true, 0), ROOTING, ESTABLISHING, 0);
        assertThat(sure).isEqualTo(new LikelyNumber(0, 0, 0, 1));
    }

    @Test
    void more_rooted_or_more_there_never_makes_it_less_likely() {
        double before = 0;
        for (int there = 0; there <= 10; there++) {
            double p = LikelyNumber.of(there, layers(20 - there, false, .8), ROOTING, ESTABLISHING, 12)
                    .reachedP();
            assertThat(p).isGreaterThan(before);
            before = p;
        }
    }

    private static List<LikelyNumber.UnderWay> layers(int count, boolean rooted, double inTimeP) {
        return Collections.nCopies(count, new LikelyNumber.UnderWay(rooted, inTimeP));
    }
}
