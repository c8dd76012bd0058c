package org.kindgirdle.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RoundPlanTest {

    /** A Friday. */
    private static final LocalDate TODAY = LocalDate.of(2026, 7, 10);

    private static final Set<DayOfWeek> TUESDAY_AND_FRIDAY = Set.of(DayOfWeek.TUESDAY, DayOfWeek.FRIDAY);

    @Test
    void a_job_goes_on_the_last_round_day_that_still_meets_it() {
        RoundPlan plan = plan(90, job("a", 1, 0, 6, 1), job("b", 1, 0, 3, 1), job("c", 1, 5, 5, 1));
        assertThat(day(plan, "a")).isEqualTo(LocalDate.of(2026, 7, 14));
        assertThat(day(plan, "b")).isEqualTo(TODAY);
        // no round falls on its one day: it is done then all the same, and the plan says that it is no round day
        assertThat(day(plan, "c")).isEqualTo(LocalDate.of(2026, 7, 15));
        assertThat(plan.days()).extracting(RoundPlan.Day::isRoundDay).containsExactly(true, true, false);
    }

    @Test
    void overdue_work_is_for_today_and_marked() {
        RoundPlan plan = plan(90, job("a", 1, -9, -2, 1));
        RoundPlan.Day today = plan.days().get(0);
        assertThat(today.on()).isEqualTo(TODAY);
        assertThat(today.isLate(today.jobs().get(0))).isTrue();
    }

    @Test
    void a_full_round_sends_to_an_earlier_one_what_may_go_there() {
        RoundPlan plan = plan(10, job("a", 1, 0, 4, 6), job("b", 1, 0, 4, 6));
        assertThat(plan.days()).extracting(RoundPlan.Day::on).containsExactly(TODAY, TODAY.plusDays(4));
        assertThat(plan.days()).allMatch(one -> one.overMinutes() == 0);
    }

    @Test
    void a_job_makes_way_for_one_that_has_no_other_day() {
        // "a" would go on Tuesday; "b" can go on Tuesday or Wednesday, and "c" fills Wednesday
        RoundPlan plan = plan(10, job("a", 1, 0, 4, 6), job("c", 1, 5, 5, 6), job("b", 1, 4, 5, 6));
        assertThat(day(plan, "a")).isEqualTo(TODAY);
        assertThat(day(plan, "b")).isEqualTo(TODAY.plusDays(4));
        assertThat(day(plan, "c")).isEqualTo(TODAY.plusDays(5));
        assertThat(plan.days()).allMatch(one -> one.overMinutes() == 0);
    }

    @Test
    void where_every_day_is_full_the_round_day_takes_it_and_without_one_the_last_day() {
        RoundPlan plan = plan(10, job("a", 1, 4, 5, 10), job("b", 1, 5, 5, 10), job("c", 1, 4, 5, 5));
        assertThat(day(plan, "c")).isEqualTo(TODAY.plusDays(4));
        RoundPlan between = plan(10, job("a", 1, 5, 5, 10), job("b", 1, 6, 6, 10), job("c", 1, 5, 6, 5));
        assertThat(day(between, "c")).isEqualTo(TODAY.plusDays(6));
    }

    @Test
    void a_round_is_full_to_the_minute_and_no_sooner() {
        RoundPlan plan = plan(10, job("a", 1, 0, 4, 5), job("b", 1, 0, 4, 5));
        assertThat(plan.days()).singleElement().satisfies(one -> {
            assertThat(one.on()).isEqualTo(TODAY.plusDays(4));
            assertThat(one.minutes()).isEqualTo(10);
            assertThat(one.overMinutes()).isZero();
        });
    }

    @Test
    void what_no_other_day_can_take_runs_over_and_says_by_how_much() {
        RoundPlan plan = plan(10, job("a", 1, 0, 0, 6), job("b", 1, 0, 0, 6), job("c", 1, -5, -1, 3));
        assertThat(plan.days()).singleElement().satisfies(one -> {
            assertThat(one.minutes()).isEqualTo(15);
            assertThat(one.overMinutes()).isEqualTo(5);
        });
    }

    @Test
    void the_walk_goes_by_place_and_what_is_far_off_waits() {
        RoundPlan plan =
                plan(90, job("z", 1, 0, 1, 1), job("b", 3, 0, 1, 1), job("a", 3, 0, 1, 1), job("f", 1, 0, 99, 1));
        assertThat(plan.days().get(0).jobs()).extracting(RoundJob::id).containsExactly("z", "a", "b");
        assertThat(plan.later()).extracting(RoundJob::id).containsExactly("f");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void whatever_comes_nothing_is_late_lost_or_needlessly_over(long seed) {
        Random seeded = new Random(seed);
        List<RoundJob> jobs = new ArrayList<>();
        for (int i = 0; i < 150; i++) {
            int from = seeded.nextInt(28) - 8;
            jobs.add(
                    job("job " + i, seeded.nextInt(5), from, from + seeded.nextInt(12), .5 + seeded.nextInt(12) / 2.0));
        }
        double minutes = 20 + seeded.nextInt(60);
        RoundPlan plan = RoundPlan.of(TODAY, TUESDAY_AND_FRIDAY, minutes, 28, jobs);
        List<RoundJob> planned = new ArrayList<>(plan.later());
        for (RoundPlan.Day day : plan.days()) {
            planned.addAll(day.jobs());
            assertThat(day.minutes())
                    .isEqualTo(
                            day.jobs().stream().mapToDouble(RoundJob::minutes).sum());
            for (RoundJob job : day.jobs()) {
                boolean overdue = job.by().isBefore(TODAY);
                assertThat(day.on()).isEqualTo(overdue ? TODAY : clamp(day.on(), job));
                assertThat(day.isLate(job)).isEqualTo(overdue);
            }
            if (day.overMinutes() > 0) {
                assertThat(day.overMinutes()).isEqualTo(day.minutes() - minutes);
                assertThat(day.jobs()).allSatisfy(job -> assertThatNoOtherDayHasRoom(plan, day, job, minutes));
            } else {
                assertThat(day.minutes()).isLessThanOrEqualTo(minutes);
            }
        }
        assertThat(planned).containsExactlyInAnyOrderElementsOf(jobs);
        Collections.shuffle(jobs, seeded);
        assertThat(RoundPlan.of(TODAY, TUESDAY_AND_FRIDAY, minutes, 28, jobs)).isEqualTo(plan);
    }

    @Test
    void what_cannot_be_planned_is_refused() {
        assertThatThrownBy(() -> RoundPlan.of(TODAY, Set.of(), 90, 28, List.of()))
                .hasMessageContaining("round day");
        assertThatThrownBy(() -> RoundPlan.of(TODAY, TUESDAY_AND_FRIDAY, Double.NaN, 28, List.of()))
                .hasMessageContaining("roundMinutes");
        assertThatThrownBy(() -> job("a", 1, 3, 2, 1)).hasMessageContaining("before its first day");
        assertThatThrownBy(() -> job("a", 1, 0, 2, Double.NaN)).hasMessageContaining("minutes");
    }

    private static void assertThatNoOtherDayHasRoom(RoundPlan plan, RoundPlan.Day over, RoundJob job, double minutes) {
        for (LocalDate day = later(job.from(), TODAY); !day.isAfter(job.by()); day = day.plusDays(1)) {
            LocalDate other = day;
            double taken = plan.days().stream()
                    .filter(one -> one.on().equals(other))
                    .mapToDouble(RoundPlan.Day::minutes)
                    .sum();
            assertThat(other.equals(over.on()) || taken + job.minutes() > minutes)
                    .as(job + " could go on " + other)
                    .isTrue();
        }
    }

    private static LocalDate clamp(LocalDate on, RoundJob job) {
        return on.isBefore(job.from()) ? job.from() : on.isAfter(job.by()) ? job.by() : on;
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }

    private static LocalDate day(RoundPlan plan, String id) {
        return plan.days().stream()
                .filter(one -> one.jobs().stream().anyMatch(job -> job.id().equals(id)))
                .findFirst()
                .orElseThrow()
                .on();
    }

    private static RoundPlan plan(double minutes, RoundJob... jobs) {
        return RoundPlan.of(TODAY, TUESDAY_AND_FRIDAY, minutes, 28, List.of(jobs));
    }

    private static RoundJob job(String id, int place, int from, int by, double minutes) {
        return new RoundJob(id, place, TODAY.plusDays(from), TODAY.plusDays(by), minutes);
    }
}
