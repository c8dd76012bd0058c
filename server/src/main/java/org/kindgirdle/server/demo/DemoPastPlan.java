package org.kindgirdle.server.demo;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** What was set in the two seasons that are over. */
final class DemoPastPlan {

    private DemoPastPlan() {}

    static final LocalDate FIRST_DAY = LocalDate.of(2024, 4, 16);

    /** By this day the last of it is sold or given up. */
    private static final LocalDate OVER = LocalDate.of(2026, 6, 1);

    private static final long SEED = 20240507;

    /** What is set each year, by the day of the year on which it begins, in four turns. */
    private static final List<DemoHabit> HABITS = List.of(
            new DemoHabit("QU-01", "Moss and foil", 5, 16, 120, 21),
            new DemoHabit("QU-02", "Coir bag", 4, 15, 127, 21),
            new DemoHabit("MU-01", "Moss and foil", 4, 19, 130, 21),
            new DemoHabit("MU-02", "Clear film", 5, 20, 113, 24),
            new DemoHabit("LQ-01", "Moss and foil", 5, 17, 99, 24),
            new DemoHabit("LQ-02", "Coir bag", 3, 16, 141, 18),
            new DemoHabit("MD-01", "Moss and foil", 4, 14, 134, 18),
            new DemoHabit("MD-02", "Hinged pod", 3, 13, 116, 24),
            new DemoHabit("FJ-01", "Coir bag", 5, 13, 99, 24),
            new DemoHabit("SM-01", "Moss and foil", 3, 11, 134, 21));

    static DemoLives.Season season(List<DemoTrials.Dealt> trials) {
        List<DemoLives.Batch> all = new ArrayList<>();
        for (int year = 2024; year <= 2025; year++) {
            for (DemoHabit habit : HABITS) {
                all.addAll(habit.in(year));
            }
        }
        return new DemoLives.Season(all, trials, FIRST_DAY, OVER, Set.of(DayOfWeek.TUESDAY), OVER, true, SEED);
    }
}
