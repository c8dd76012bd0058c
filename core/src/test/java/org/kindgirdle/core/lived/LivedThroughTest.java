package org.kindgirdle.core.lived;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.core.truth.Clime;

/** A third of what {@code ./kg live --all} does: twenty layers in each climate, for three years. */
class LivedThroughTest {

    private static final long SEED = 1;
    private static final double LEAST_SHARE = .8;

    @Test
    void nothing_happens_that_must_never_and_more_comes_of_it_than_by_the_calendar() {
        List<LivedNursery.Result> all = Clime.six().stream()
                .map(clime -> LivedNursery.live(clime, SEED, number -> number % 3 == 0, -1))
                .toList();
        for (LivedNursery.Result lived : all) {
            assertThat(lived.cases()).as(lived.clime()).isEmpty();
            assertThat(lived.layers()).as(lived.clime()).isEqualTo(20);
            assertThat(lived.follower()).as(lived.clime()).isGreaterThan(lived.calendar());
        }
        int follower = all.stream().mapToInt(LivedNursery.Result::follower).sum();
        int knowing = all.stream().mapToInt(LivedNursery.Result::knowing).sum();
        assertThat((double) follower)
                .as("against one who knows everything")
                .isGreaterThanOrEqualTo(LEAST_SHARE * knowing);
    }

    /** Single lives in which something happened once that must never. */
    @ParameterizedTest
    @CsvSource({
        "42, 30 N humid subtropical, 8, a look was all that was wanted for two days before growth stopped",
        "42, 60 N coast, 41, water fell due in secret while the plant was about to be cut off",
        "51, 30 N humid subtropical, 21, a ball was outgrown since a day on which nobody could know",
        "52, 37 S temperate, 22, protection that hung was asked for by the next forecast frost",
        "58, 37 S temperate, 21, full in spring it was held till the next",
        "63, 52 N maritime, 15, a ball was to be soaked and left to drain",
        "67, 30 N humid subtropical, 11, a cold week before leaf fall had it held till spring",
        "23, 37 S temperate, 56, a look came between for two days that stopped growing again",
        "53, 35 N dry inland, 46, single warm days offered a new ring and took it back"
    })
    void once_mended_it_does_not_come_back(long seed, String clime, int layer, String what) {
        Clime there = Clime.eight().stream()
                .filter(one -> one.name().equals(clime))
                .findFirst()
                .orElseThrow();
        assertThat(LivedNursery.live(there, seed, number -> number == layer, -1).cases())
                .as(what)
                .isEmpty();
    }
}
