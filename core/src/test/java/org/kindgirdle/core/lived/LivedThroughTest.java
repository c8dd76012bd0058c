package org.kindgirdle.core.lived;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.truth.Clime;

/** A third of what {@code ./kg live --all} does: twenty layers in each climate, for three years. */
class LivedThroughTest {

    private static final long SEED = 1;
    private static final double LEAST_SHARE = .8;

    @Test
    void nothing_happens_that_must_never_and_more_comes_of_it_than_by_the_calendar() {
        List<Lives.Result> all = Clime.six().stream()
                .map(clime -> Lives.live(clime, SEED, number -> number % 3 == 0, -1))
                .toList();
        for (Lives.Result lived : all) {
            assertThat(lived.cases()).as(lived.clime()).isEmpty();
            assertThat(lived.layers()).as(lived.clime()).isEqualTo(20);
            assertThat(lived.follower()).as(lived.clime()).isGreaterThan(lived.calendar());
        }
        int follower = all.stream().mapToInt(Lives.Result::follower).sum();
        int knowing = all.stream().mapToInt(Lives.Result::knowing).sum();
        assertThat((double) follower)
                .as("against one who knows everything")
                .isGreaterThanOrEqualTo(LEAST_SHARE * knowing);
    }
}
