package org.kindgirdle.server.learn;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.kindgirdle.core.learn.Share;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.words.Phrases;

class ComparisonsTest {

    private final Comparisons comparisons = new Comparisons(new Phrases());

    /** "By chance alone as much comes 100 times in a hundred". */
    @Test
    void line_14_one_against_one_settles_nothing_and_is_not_given_as_a_certainty() {
        LedgerView.SideBySide both = comparisons.of("moss", new Share(1, 1), "coir", new Share(0, 1));
        assertThat(both.settled()).isFalse();
        assertThat(both.sentence())
                .matches(Said.by("compare.open", "better", "moss"))
                .containsPattern(Said.by("compare.chance.always"));
    }

    /** Fisher's exact p of 9 of 10 against 4 of 10 is .0573: six times in a hundred. */
    @Test
    void how_often_chance_brings_as_much_is_a_count() {
        assertThat(comparisons
                        .of("moss", new Share(9, 10), "coir", new Share(4, 10))
                        .sentence())
                .containsPattern(Said.by("compare.chance.some", "count", 6));
        assertThat(comparisons
                        .of("moss", new Share(30, 30), "coir", new Share(0, 30))
                        .sentence())
                .containsPattern(Said.by("compare.chance.thousand"));
    }
}
