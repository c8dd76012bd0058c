package org.kindgirdle.core.look;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * Jobs on days. Each goes on the last round day that still meets it, earlier where that one is full, on a day between
 * the rounds where no round is left, and never after its last day; what is overdue goes on today. A day runs over its
 * minutes only with work that no other day could take. The same jobs give the same plan, in whatever order they come.
 *
 * @param days that have something to do, in order
 * @param later jobs whose last day lies beyond the days planned for, in order of their last day
 */
public record RoundPlan(List<Day> days, List<RoundJob> later) {

    private static final Comparator<RoundJob> WALK =
            Comparator.comparingInt(RoundJob::placeOrder).thenComparing(RoundJob::id);

    /**
     * A job among thousands that are put in order with each walk, its days as numbers. Those with the least choice come
     * first.
     */
    private record Ranked(long by, long from, RoundJob job) implements Comparable<Ranked> {

        static Ranked of(RoundJob job) {
            return new Ranked(job.by().toEpochDay(), job.from().toEpochDay(), job);
        }

        @Override
        public int compareTo(Ranked other) {
            return by != other.by
                    ? Long.compare(by, other.by)
                    : from != other.from ? Long.compare(other.from, from) : WALK.compare(job, other.job);
        }
    }

    public RoundPlan {
        days = List.copyOf(days);
        later = List.copyOf(later);
    }

    /**
     * What is done on one day.
     *
     * @param isRoundDay false for a day between the rounds
     * @param jobs in walking order
     * @param minutes in all
     * @param overMinutes by how much that is more than a round may take; 0 if it is not
     */
    public record Day(LocalDate on, boolean isRoundDay, List<RoundJob> jobs, double minutes, double overMinutes) {

        public Day {
            jobs = List.copyOf(jobs);
        }

        /** Whether a job of this day is done after its last day. */
        public boolean isLate(RoundJob job) {
            return job.by().isBefore(on);
        }
    }

    /**
     * Plans from a day on.
     *
     * @param roundDays of the week, at least one
     * @param roundMinutes that one day's walk may take, 5 to 1440
     * @param daysAhead how many days are planned for, today included, 1 to 366
     * @throws OutOfRangeException if roundMinutes is outside 5 to 1440 or daysAhead is outside 1 to 366
     * @throws IllegalArgumentException if there is no round day
     */
    public static RoundPlan of(
            LocalDate today, Set<DayOfWeek> roundDays, double roundMinutes, int daysAhead, List<RoundJob> jobs) {
        if (roundDays.isEmpty()) {
            throw new IllegalArgumentException("there is no round day; name at least one day of the week");
        }
        Require.within("roundMinutes", roundMinutes, 5, 1440);
        Require.within("daysAhead", daysAhead, 1, 366);
        Allocation allocation = new Allocation(today, roundDays, roundMinutes, daysAhead);
        LocalDate end = today.plusDays(daysAhead);
        List<RoundJob> later = new ArrayList<>();
        for (Ranked one : jobs.stream().map(Ranked::of).sorted().toList()) {
            if (one.job().by().isBefore(end)) {
                allocation.place(one.job());
            } else {
                later.add(one.job());
            }
        }
        allocation.relieve();
        return new RoundPlan(allocation.days(), later);
    }

    /** The days while they are being filled, by their number from today on: thousands of jobs ask for each of them. */
    private static final class Allocation {

        /** Sums of minutes are compared with this slack, for halves and thirds do not add up exactly. */
        private static final double SLACK = 1e-9;

        private static final int NONE = -1;

        private final LocalDate today;
        private final double roundMinutes;
        private final boolean[] isRoundDay;
        private final double[] minutes;
        private final List<List<RoundJob>> jobs = new ArrayList<>();

        Allocation(LocalDate today, Set<DayOfWeek> roundDays, double roundMinutes, int daysAhead) {
            this.today = today;
            this.roundMinutes = roundMinutes;
            this.isRoundDay = new boolean[daysAhead];
            this.minutes = new double[daysAhead];
            for (int day = 0; day < daysAhead; day++) {
                isRoundDay[day] = roundDays.contains(today.plusDays(day).getDayOfWeek());
                jobs.add(new ArrayList<>());
            }
        }

        void place(RoundJob job) {
            int day = dayWithRoom(job, NONE);
            put(job, day == NONE ? lastResort(job) : day);
        }

        /** Moves work off days that run over, as long as another day can take it. */
        void relieve() {
            for (int day = 0; day < minutes.length; day++) {
                List<RoundJob> stay = new ArrayList<>();
                for (RoundJob job : List.copyOf(jobs.get(day))) {
                    int other = minutes[day] <= roundMinutes + SLACK ? NONE : dayWithRoom(job, day);
                    if (other == NONE) {
                        stay.add(job);
                    } else {
                        minutes[day] -= job.minutes();
                        put(job, other);
                    }
                }
                jobs.set(day, stay);
            }
        }

        List<Day> days() {
            List<Day> days = new ArrayList<>();
            for (int day = 0; day < minutes.length; day++) {
                if (!jobs.get(day).isEmpty()) {
                    double over = minutes[day] > roundMinutes + SLACK ? minutes[day] - roundMinutes : 0;
                    List<RoundJob> walk = jobs.get(day).stream().sorted(WALK).toList();
                    days.add(new Day(today.plusDays(day), isRoundDay[day], walk, minutes[day], over));
                }
            }
            return List.copyOf(days);
        }

        /** The last round day of the job that has room, else the last other day that has; none if none has. */
        private int dayWithRoom(RoundJob job, int except) {
            int between = NONE;
            int first = number(job.from());
            for (int day = number(job.by()); day >= first; day--) {
                if (day == except || minutes[day] + job.minutes() > roundMinutes + SLACK) {
                    continue;
                }
                if (isRoundDay[day]) {
                    return day;
                }
                between = between == NONE ? day : between;
            }
            return between;
        }

        /** Where every day is full: the last round day that still meets it, or its last day. */
        private int lastResort(RoundJob job) {
            int first = number(job.from());
            int last = number(job.by());
            for (int day = last; day >= first; day--) {
                if (isRoundDay[day]) {
                    return day;
                }
            }
            return last;
        }

        /** Overdue work has today for its only day. */
        private int number(LocalDate day) {
            return (int) Math.max(0, day.toEpochDay() - today.toEpochDay());
        }

        private void put(RoundJob job, int day) {
            jobs.get(day).add(job);
            minutes[day] += job.minutes();
        }
    }
}
