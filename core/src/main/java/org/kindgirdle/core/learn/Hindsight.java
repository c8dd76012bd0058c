package org.kindgirdle.core.learn;

import java.time.LocalDate;

/**
 * What happened, for dates that were said beforehand to be held against: a ball became full after one look and by
 * another, and on which of the days between is not known. Within them it is taken to lie as what was said has it, so that
 * long gaps between looks make a forecast neither better nor worse: of one that is right, its range of four in five then
 * holds in four of five cases however seldom anybody looks (the randomised probability integral transform, Czado,
 * Gneiting and Held 2009, Biometrics 65:1254-1261, with its mean in place of a draw).
 *
 * @param after the last look before it was found full, or its setting
 * @param by the look that found it full, after that
 */
public record Hindsight(LocalDate after, LocalDate by) {

    private static final double LOW = .1;
    private static final double MIDDLE = .5;
    private static final double HIGH = .9;

    /** @throws IllegalArgumentException if it was found full no later than it was seen not to be */
    public Hindsight {
        if (!by.isAfter(after)) {
            throw new IllegalArgumentException("found full on " + by + ", which is not after " + after);
        }
    }

    /**
     * Dates as they were said. The chance between them is drawn straight: none on the day itself, a tenth by the first,
     * and all of it as long after the last as that lies after the likeliest.
     *
     * @param on the day on which they were said
     * @param q10 first day with a tenth of the probability, after that; {@code q50} and {@code q90} alike, in order
     */
    public record Said(LocalDate on, LocalDate q10, LocalDate q50, LocalDate q90) {

        private double[] days() {
            double last = q90.toEpochDay();
            double beyond = Math.max(1, last - q50.toEpochDay());
            return new double[] {on.toEpochDay(), q10.toEpochDay(), q50.toEpochDay(), last, last + beyond};
        }

        /** Chance that it is full by the end of a day. */
        double by(double day) {
            double[] days = days();
            double[] chances = {0, LOW, MIDDLE, HIGH, 1};
            for (int i = 1; i < days.length; i++) {
                if (day < days[i]) {
                    double width = days[i] - days[i - 1];
                    double share = width <= 0 ? 1 : Math.max(0, (day - days[i - 1]) / width);
                    return chances[i - 1] + share * (chances[i] - chances[i - 1]);
                }
            }
            return 1;
        }

        /** The day by which it is full with a chance of 0 to 1. */
        double day(double chance) {
            double[] days = days();
            double[] chances = {0, LOW, MIDDLE, HIGH, 1};
            for (int i = 1; i < days.length; i++) {
                if (chance <= chances[i]) {
                    double share = (chance - chances[i - 1]) / (chances[i] - chances[i - 1]);
                    return days[i - 1] + share * Math.max(0, days[i] - days[i - 1]);
                }
            }
            return days[days.length - 1];
        }
    }

    /** How far the range of four in five held, 0 to 1: between if the looks leave it open. */
    public double held(Said said) {
        double from = said.by(after.toEpochDay());
        double to = said.by(by.toEpochDay());
        if (to - from <= 0) {
            // no chance at all was given to any of these days
            return 0;
        }
        return Math.max(0, Math.min(HIGH, to) - Math.max(LOW, from)) / (to - from);
    }

    /** Days by which it became full later than the likeliest day; below 0 for earlier. */
    public double lateByDays(Said said) {
        double from = said.by(after.toEpochDay());
        double to = said.by(by.toEpochDay());
        double day = to - from <= 0 ? (after.toEpochDay() + by.toEpochDay()) / 2.0 : said.day((from + to) / 2);
        return day - said.q50().toEpochDay();
    }
}
