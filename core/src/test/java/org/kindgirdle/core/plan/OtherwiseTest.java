package org.kindgirdle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.core.plan.Sites.CONTINENTAL;
import static org.kindgirdle.core.plan.Sites.MARITIME;
import static org.kindgirdle.core.plan.Sites.quince;
import static org.kindgirdle.core.plan.Sites.windows;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.Otherwise.Way;

class OtherwiseTest {

    private static final SettingWindows QUINCE = windows(MARITIME, quince(38, false), School.IN_LEAF);

    @Test
    void a_good_date_needs_no_other_way() {
        assertThat(Otherwise.of(QUINCE, LocalDate.of(2026, 5, 20), true)).isEmpty();
    }

    @Test
    void before_it_opens_one_waits_for_the_day_that_is_named() {
        List<Otherwise> ways = Otherwise.of(QUINCE, LocalDate.of(2026, 3, 1), true);
        assertThat(ways).extracting(Otherwise::way).containsExactly(Way.WAIT_FOR_WINDOW);
        LocalDate day = ways.get(0).on();
        assertThat(QUINCE.on(day).windowClass()).isEqualTo(WindowClass.GOOD);
        assertThat(QUINCE.on(day.minusDays(1)).windowClass()).isNotEqualTo(WindowClass.GOOD);
        assertThat(ways.get(0).p()).isEqualTo(QUINCE.readyInTimeP(day));
    }

    @Test
    void shortly_after_the_last_good_day_cover_and_cuttings_are_left() {
        LocalDate late = QUINCE.lastGood(LocalDate.of(2026, 6, 1)).orElseThrow().plusDays(6);
        assertThat(Otherwise.of(QUINCE, late, true))
                .extracting(Otherwise::way)
                .containsExactly(Way.WAIT_FOR_WINDOW, Way.LEAVE_OVER_WINTER, Way.SEVER_TO_COVER, Way.CUTTING, Way.JAR);
        assertThat(Otherwise.of(QUINCE, late, false)).extracting(Otherwise::way).doesNotContain(Way.SEVER_TO_COVER);
        Otherwise cover = Otherwise.of(QUINCE, late, true).get(2);
        assertThat(cover.p()).isGreaterThan(QUINCE.readyInTimeP(late));
    }

    @Test
    void in_late_autumn_only_the_next_year_is_left() {
        List<Otherwise> ways = Otherwise.of(QUINCE, LocalDate.of(2026, 11, 20), true);
        assertThat(ways).extracting(Otherwise::way).containsExactly(Way.WAIT_FOR_WINDOW);
        assertThat(ways.get(0).on().getYear()).isEqualTo(2027);
    }

    @Test
    void what_the_winter_would_kill_is_not_left_on() {
        SettingWindows cold = windows(CONTINENTAL, quince(38, false), School.IN_LEAF);
        assertThat(Otherwise.of(cold, LocalDate.of(2026, 8, 1), true))
                .extracting(Otherwise::way)
                .doesNotContain(Way.LEAVE_OVER_WINTER);
    }
}
