package org.kindgirdle.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Wrap;

class TopUpTest {

    @Test
    void what_is_added_is_what_was_lost_and_never_more_than_a_fresh_ball_holds() {
        TopUp film = ball(HouseRules.SHIPPED, Wrap.TIED_FILM, 1);
        assertThat(film.waterToAddG(5)).isCloseTo(5 * film.lossGDay(), within(1e-9));
        assertThat(film.waterToAddG(0)).isZero();
        assertThat(film.waterToAddG(-3)).isZero();
        assertThat(film.waterToAddG(10_000)).isEqualTo(film.waterG());
    }

    @Test
    void a_wrap_that_dries_within_the_shortest_interval_does_not_suit() {
        TopUp film = ball(HouseRules.SHIPPED, Wrap.TIED_FILM, 1);
        assertThat(film.unsuitable()).isFalse();
        assertThat(film.intervalDays()).isEqualTo((int) film.rawDays());
        TopUp split = ball(HouseRules.SHIPPED, Wrap.SPLIT_POT, 3);
        assertThat(split.rawDays()).isLessThan(3);
        assertThat(split.unsuitable()).isTrue();
        assertThat(split.intervalDays()).isEqualTo(3);
        HouseRules hasty = HouseRules.SHIPPED.with("top-up.least-days", 1);
        assertThat(ball(hasty, Wrap.SPLIT_POT, 1).intervalDays()).isBetween(1, 2);
    }

    @Test
    void a_sealed_ball_is_seen_to_every_two_months_all_the_same() {
        assertThat(ball(HouseRules.SHIPPED, Wrap.SEALED_FILM, .1).intervalDays())
                .isEqualTo(60);
    }

    private static TopUp ball(HouseRules rules, Wrap wrap, double vpdKpa) {
        return TopUp.of(rules, 337, 77, 94, Medium.MOSS, wrap, Exposure.PART, true, vpdKpa, RootStage.NONE);
    }
}
