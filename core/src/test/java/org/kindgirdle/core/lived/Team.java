package org.kindgirdle.core.lived;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;

/** All layers of one grower, and the one pair of hands that goes round them. */
final class Team {

    static final String STILL_THERE = "neither released nor lost in time";

    private final Hands hands = new Hands();
    private final List<Grower> layers = new ArrayList<>();
    private double longest;
    private int cutShort;
    private int begins;

    void add(Grower layer) {
        layers.add(layer);
    }

    Hands hands() {
        return hands;
    }

    List<Grower> layers() {
        return layers;
    }

    /** A day goes by. A round that was cut short goes on next time with the layer at which it ended. */
    void live(LocalDate day, int years) {
        hands.rest();
        int stopped = -1;
        for (int i = 0; i < layers.size(); i++) {
            int at = (begins + i) % layers.size();
            if (stopped < 0 && !hands.haveTime()) {
                stopped = at;
            }
            live(layers.get(at), day, years);
        }
        if (stopped >= 0) {
            begins = stopped;
            cutShort++;
        }
        longest = Math.max(longest, hands.worked());
    }

    private static void live(Grower one, LocalDate day, int years) {
        if (one.isOver()) {
            return;
        }
        long age = ChronoUnit.DAYS.between(one.plant.begun.on(), day);
        if (age > 365L * years) {
            one.lose(STILL_THERE);
        } else if (age >= 0) {
            one.day(day);
        }
        if (!one.isOver()) {
            one.plant.pass(one.nursery, day);
        }
    }

    boolean isOver() {
        return layers.stream().allMatch(Grower::isOver);
    }

    int released() {
        return (int) layers.stream().filter(Grower::released).count();
    }

    /** Minutes of the longest day. */
    double longest() {
        return longest;
    }

    /** Days on which the minutes were not enough. */
    int cutShort() {
        return cutShort;
    }
}
