package org.kindgirdle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NumbersWantedTest {

    @ParameterizedTest
    @CsvSource({"9, 1", "7, 3", "4, 6", "40, 4"})
    void more_wanted_or_more_certainty_needs_more_layers(double alpha, double beta) {
        Chances chances = new Chances(alpha, beta);
        int before = 0;
        for (int wanted : new int[] {1, 2, 5, 10, 40, 200}) {
            int layers = NumbersWanted.layers(chances, wanted, .8);
            assertThat(layers).isGreaterThan(before).isGreaterThanOrEqualTo(wanted);
            assertThat(NumbersWanted.layers(chances, wanted, .95)).isGreaterThanOrEqualTo(layers);
            assertThat(NumbersWanted.atLeast(chances, layers, wanted)).isGreaterThanOrEqualTo(.8);
            assertThat(NumbersWanted.atLeast(chances, layers - 1, wanted)).isLessThan(.8);
            before = layers;
        }
    }

    /** With alpha = beta = 1 every number of 0 to n is equally likely. */
    @Test
    void of_knowing_nothing_every_number_is_as_likely() {
        Chances nothing = new Chances(1, 1);
        for (int k = 0; k <= 11; k++) {
            assertThat(NumbersWanted.atLeast(nothing, 10, k)).isCloseTo((11 - k) / 11.0, within(1e-12));
        }
        assertThat(NumbersWanted.layers(nothing, 1, .9)).isEqualTo(9);
    }

    /** Of a share known for certain it is the binomial: 10 of 0.9, at least 9 with 0.7361. */
    @Test
    void of_a_known_share_it_is_the_binomial() {
        assertThat(NumbersWanted.atLeast(new Chances(9e6, 1e6), 10, 9)).isCloseTo(.7361, within(1e-4));
    }

    @Test
    void both_must_come_true() {
        Chances both = new Chances(9, 1).then(new Chances(8.5, 1.5));
        assertThat(both.mean()).isCloseTo(.9 * .85, within(1e-12));
        assertThat(new Chances(9, 1).plus(3, 2)).isEqualTo(new Chances(12, 3));
    }

    @Test
    void what_cannot_be_had_is_said() {
        assertThatThrownBy(() -> NumbersWanted.layers(new Chances(.01, 50), 100_000, .999))
                .hasMessageContaining("ask for fewer");
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, 0, 1, -1, Double.POSITIVE_INFINITY})
    void confidence_lies_between_0_and_1(double confidence) {
        assertThatThrownBy(() -> NumbersWanted.layers(new Chances(9, 1), 5, confidence))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(String.valueOf(confidence));
    }
}
