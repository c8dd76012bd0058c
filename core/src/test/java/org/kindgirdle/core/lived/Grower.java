package org.kindgirdle.core.lived;

import java.time.DayOfWeek;
import java.time.LocalDate;
import org.kindgirdle.core.truth.Luck;

/** Somebody who cares for one layer. */
abstract class Grower {

    private static final double MISSES = .1;

    final Plant plant;
    final Nursery nursery;
    final Hands hands;
    private final Luck rounds;
    private String end = "";
    private boolean released;

    /** @param hands that the grower has for all layers */
    Grower(Plant plant, Nursery nursery, Hands hands, Luck rounds) {
        this.plant = plant;
        this.nursery = nursery;
        this.hands = hands;
        this.rounds = rounds;
    }

    /** What is done on a day, before it goes by. */
    abstract void day(LocalDate today);

    /** Tuesdays and Fridays; one in ten is missed. */
    boolean isRound(LocalDate day) {
        return isRoundDay(day) && !rounds.strikes(Luck.Question.MISSES_ROUND, day.toEpochDay(), MISSES);
    }

    private static boolean isRoundDay(LocalDate day) {
        return day.getDayOfWeek() == DayOfWeek.TUESDAY || day.getDayOfWeek() == DayOfWeek.FRIDAY;
    }

    static LocalDate nextRound(LocalDate day) {
        LocalDate next = day.plusDays(1);
        while (!isRoundDay(next)) {
            next = next.plusDays(1);
        }
        return next;
    }

    void release() {
        released = true;
        end = "released";
    }

    void lose(String why) {
        end = why;
    }

    boolean isOver() {
        return !end.isEmpty();
    }

    boolean released() {
        return released;
    }

    /** How it ended; empty while it lives. */
    String end() {
        return end;
    }
}
