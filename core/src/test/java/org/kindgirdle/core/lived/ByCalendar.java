package org.kindgirdle.core.lived;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.truth.Luck;
import org.kindgirdle.core.truth.Trouble;
import org.kindgirdle.core.truth.Young;

/** Somebody who goes by the calendar: water every other week, the knife after three months, the ladder by its days. */
final class ByCalendar extends OnRounds {

    private static final int WATER_DAYS = 14;
    private static final int CUT_AFTER_DAYS = 95;
    private static final int RUNG_DAYS = 10;
    private static final int RELEASE_AFTER_DAYS = 55;
    private static final int MAX_DAYS = 800;

    private LocalDate watered;
    private LocalDate cutOn = LocalDate.MAX;
    private LocalDate movedOn = LocalDate.MAX;

    ByCalendar(Plant plant, Nursery nursery, Hands hands, Luck rounds) {
        super(plant, nursery, hands, rounds);
        this.watered = plant.begun.on();
    }

    @Override
    void tend(LocalDate today) {
        if (plant.ball.has(Trouble.TOP_DEAD) || plant.ball.has(Trouble.BROKEN_OFF)) {
            lose("dead or broken");
            return;
        }
        boolean winter = isWinter(today);
        if (!winter && ChronoUnit.DAYS.between(watered, today) >= WATER_DAYS) {
            plant.ball.fill(1);
            hands.work("TOP_UP");
            watered = today;
        }
        long age = ChronoUnit.DAYS.between(plant.begun.on(), today);
        if (age > MAX_DAYS) {
            lose("nothing came of it");
        } else if (age >= CUT_AFTER_DAYS && !winter) {
            // half of the leaves off, as ever
            hands.work("SEVER");
            Young cut = plant.sever(plant.begun.set().leavesBeyond() / 2, Spot.TUNNEL);
            cut.pot();
            cutOn = today;
            movedOn = today;
        }
    }

    @Override
    void harden(Young young, LocalDate today) {
        if (isWinter(today)) {
            if (plant.spot != Spot.HOUSE) {
                plant.move(plant.rung == Rung.OPEN ? Rung.LIGHT : plant.rung, Spot.HOUSE);
                hands.work("MOVE");
            }
            return;
        }
        boolean due = ChronoUnit.DAYS.between(movedOn, today) >= RUNG_DAYS;
        if (plant.rung != Rung.OPEN && due) {
            Rung up = plant.rung.up().orElseThrow();
            plant.move(up, up == Rung.OPEN ? Spot.FIELD : Spot.TUNNEL);
            hands.work("MOVE");
            movedOn = today;
        } else if (plant.rung == Rung.OPEN
                && due
                && ChronoUnit.DAYS.between(cutOn, today) >= RELEASE_AFTER_DAYS
                && young.rootsAtEdge()) {
            release();
        }
    }

    /** November to April, or the other half in the south; never in the tropics. */
    private boolean isWinter(LocalDate day) {
        double latitude = nursery.clime().latitude();
        int month = day.getMonthValue();
        boolean northern = month >= 11 || month <= 4;
        return Math.abs(latitude) > 25 && (latitude > 0 ? northern : month >= 5 && month <= 9);
    }
}
