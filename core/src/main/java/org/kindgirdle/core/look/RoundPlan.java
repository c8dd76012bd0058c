package org.kindgirdle.core.look;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
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

    /** Those with the least choice are placed first. */
    private static final Comparator<RoundJob> URGENCY = Comparator.comparing(RoundJob::by)
            .thenComparing(RoundJob::from, Comparator.reverseOrder())
            .thenComparing(WALK);

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
     */
    public static RoundPlan of(
            LocalDate today, Set<DayOfWeek> roundDays, double roundMinutes, int daysAhead, List<RoundJob> jobs) {
        if (roundDays.isEmpty()) {
            throw new IllegalArgumentException("there is no round day; name at least one day of the week");
        }
        Require.within("roundMinutes", roundMinutes, 5, 1440);
        Require.within("daysAhead", daysAhead, 1, 366);
        Allocation allocation = new Allocation(today, roundDays, roundMinutes);
        LocalDate end = today.plusDays(daysAhead);
        List<RoundJob> later = new ArrayList<>();
        for (RoundJob job : jobs.stream().sorted(URGENCY).toList()) {
            if (job.by().isBefore(end)) {
                allocation.place(job);
            } else {
                later.add(job);
            }
        }
        allocation.relieve();
        return new RoundPlan(allocation.days(), later);
    }

    /** The days while they are being filled. */
    private static final class Allocation {

        /** Sums of minutes are compared with this slack, for halves and thirds do not add up exactly. */
        private static final double SLACK = 1e-9;

        private final LocalDate today;
        private final Set<DayOfWeek> roundDays;
        private final double roundMinutes;
        private final TreeMap<LocalDate, List<RoundJob>> jobs = new TreeMap<>();

        /** Kept beside the jobs: every placing asks for it on many days. */
        private final Map<LocalDate, Double> minutes = new HashMap<>();

        Allocation(LocalDate today, Set<DayOfWeek> roundDays, double roundMinutes) {
            this.today = today;
            this.roundDays = Set.copyOf(roundDays);
            this.roundMinutes = roundMinutes;
        }

        void place(RoundJob job) {
            LocalDate day = dayWithRoom(job, null);
            put(job, day == null ? lastResort(job) : day);
        }

        /** Moves work off days that run over, as long as another day can take it. */
        void relieve() {
            for (LocalDate day : List.copyOf(jobs.keySet())) {
                for (RoundJob job : List.copyOf(jobs.get(day))) {
                    if (minutes(day) <= roundMinutes + SLACK) {
                        break;
                    }
                    LocalDate other = dayWithRoom(job, day);
                    if (other != null) {
                        jobs.get(day).remove(job);
                        minutes.merge(day, -job.minutes(), Double::sum);
                        put(job, other);
                    }
                }
            }
        }

        List<Day> days() {
            return jobs.entrySet().stream()
                    .filter(entry -> !entry.getValue().isEmpty())
                    .map(entry -> {
                        double minutes = minutes(entry.getKey());
                        double over = minutes > roundMinutes + SLACK ? minutes - roundMinutes : 0;
                        List<RoundJob> walk =
                                entry.getValue().stream().sorted(WALK).toList();
                        return new Day(entry.getKey(), isRoundDay(entry.getKey()), walk, minutes, over);
                    })
                    .toList();
        }

        /** The last round day of the job that has room, else the last other day that has; null if none has. */
        private @Nullable LocalDate dayWithRoom(RoundJob job, @Nullable LocalDate except) {
            LocalDate between = null;
            for (LocalDate day = last(job); !day.isBefore(first(job)); day = day.minusDays(1)) {
                if (day.equals(except) || minutes(day) + job.minutes() > roundMinutes + SLACK) {
                    continue;
                }
                if (isRoundDay(day)) {
                    return day;
                }
                between = between == null ? day : between;
            }
            return between;
        }

        /** Where every day is full: the last round day that still meets it, or its last day. */
        private LocalDate lastResort(RoundJob job) {
            for (LocalDate day = last(job); !day.isBefore(first(job)); day = day.minusDays(1)) {
                if (isRoundDay(day)) {
                    return day;
                }
            }
            return last(job);
        }

        private LocalDate first(RoundJob job) {
            return job.from().isBefore(today) ? today : job.from();
        }

        /** Overdue work has today for its only day. */
        private LocalDate last(RoundJob job) {
            return job.by().isBefore(today) ? today : job.by();
        }

        private boolean isRoundDay(LocalDate day) {
            return roundDays.contains(day.getDayOfWeek());
        }

        private void put(RoundJob job, LocalDate day) {
            jobs.computeIfAbsent(day, one -> new ArrayList<>()).add(job);
            minutes.merge(day, job.minutes(), Double::sum);
        }

        private double minutes(LocalDate day) {
            return minutes.getOrDefault(day, 0.0);
        }
    }
}
