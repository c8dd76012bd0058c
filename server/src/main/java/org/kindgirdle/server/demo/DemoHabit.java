package org.kindgirdle.server.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;

/** What is set on a mother each year, in four turns, by the day of the year on which it begins. */
record DemoHabit(String mother, String recipe, int count, double diameterMm, int firstDay, int everyDays) {

    private static final int TURNS = 4;

    List<DemoLives.Batch> in(int year) {
        return IntStream.range(0, TURNS)
                .mapToObj(turn -> new DemoLives.Batch(
                        mother, recipe, LocalDate.ofYearDay(year, firstDay + turn * everyDays), count, diameterMm))
                .toList();
    }
}
