package org.kindgirdle.core.layer;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wood;

class ExpectedVisitsTest {

    private static final LocalDate MAY = LocalDate.of(2026, 5, 28);
    private static final RingAndBall BALL = RingAndBall.of(HouseRules.SHIPPED, 16, true, false);

    @Test
    void looks_come_in_time_for_roots_and_the_last_finds_it_full() {
        LayerContext context = Carrow.context(Carrow.QUINCE);
        ExpectedVisits visits =
                ExpectedVisits.of(context, Wood.ONE_TWO, BALL, MAY).orElseThrow();
        // half of the quinces set then are full by the median that the projection gives
        LocalDate median = Projector.project(Replay.of(new Carrow().set().journal()), context, MAY)
                .forecast()
                .q50();
        assertThat(visits.readyOn()).isEqualTo(median);
        assertThat(visits.looks()).hasSizeBetween(2, 4).isSorted();
        assertThat(visits.looks().get(visits.looks().size() - 1)).isAfterOrEqualTo(visits.readyOn());
        assertThat(visits.looks().get(0)).isAfterOrEqualTo(MAY.plusDays(21));
        assertThat(visits.topUps()).isSorted().allSatisfy(day -> assertThat(day).isBetween(MAY, visits.readyOn()));
    }

    @Test
    void older_wood_takes_longer_and_more_visits() {
        LayerContext context = Carrow.context(Carrow.QUINCE);
        ExpectedVisits young =
                ExpectedVisits.of(context, Wood.ONE_TWO, BALL, MAY).orElseThrow();
        ExpectedVisits old = ExpectedVisits.of(context, Wood.OLDER, BALL, MAY).orElseThrow();
        assertThat(ChronoUnit.DAYS.between(young.readyOn(), old.readyOn())).isGreaterThan(20);
        assertThat(old.looks().size()).isGreaterThanOrEqualTo(young.looks().size());
        assertThat(old.topUps().size()).isGreaterThanOrEqualTo(young.topUps().size());
    }

    @Test
    void what_takes_more_than_four_years_is_not_planned() {
        assertThat(ExpectedVisits.of(Carrow.context(Carrow.quince(1999)), Wood.OLDER, BALL, MAY))
                .isEmpty();
    }
}
