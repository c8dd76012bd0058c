package org.kindgirdle.server.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** What was set in the two seasons that are over. */
final class DemoPastPlan {

    private DemoPastPlan() {}

    static final LocalDate FIRST_DAY = LocalDate.of(2024, 4, 16);

    /** Layers set together on one mother. */
    record Batch(String mother, String recipe, LocalDate on, int count, double diameterMm) {}

    private record Habit(String mother, String recipe, int count, double diameterMm, int firstDay, int everyDays) {}

    /** What is set each year, by the day of the year on which it begins, in four turns. */
    private static final List<Habit> HABITS = List.of(
            new Habit("QU-01", "Moss and foil", 5, 16, 120, 21),
            new Habit("QU-02", "Coir bag", 4, 15, 127, 21),
            new Habit("MU-01", "Moss and foil", 4, 19, 130, 21),
            new Habit("MU-02", "Clear film", 5, 20, 113, 24),
            new Habit("LQ-01", "Moss and foil", 5, 17, 99, 24),
            new Habit("LQ-02", "Coir bag", 3, 16, 141, 18),
            new Habit("MD-01", "Moss and foil", 4, 14, 134, 18),
            new Habit("MD-02", "Hinged pod", 3, 13, 116, 24),
            new Habit("FJ-01", "Coir bag", 5, 13, 99, 24),
            new Habit("SM-01", "Moss and foil", 3, 11, 134, 21));

    private static final int TURNS = 4;

    static final List<Batch> BATCHES = batches();

    private static List<Batch> batches() {
        List<Batch> all = new ArrayList<>();
        for (int year = 2024; year <= 2025; year++) {
            for (Habit habit : HABITS) {
                for (int turn = 0; turn < TURNS; turn++) {
                    LocalDate on = LocalDate.ofYearDay(year, habit.firstDay() + turn * habit.everyDays());
                    all.add(new Batch(habit.mother(), habit.recipe(), on, habit.count(), habit.diameterMm()));
                }
            }
        }
        return all;
    }
}
