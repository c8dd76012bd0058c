package org.kindgirdle.core.truth;

import java.util.SplittableRandom;

/**
 * Chances that do not depend on what anybody does: the same for every grower who meets them. Each question has a number
 * of its own.
 */
public record Luck(long seed) {

    /** Of one thing among many, as a layer or a mother. */
    public Luck of(long which) {
        return new Luck(mix(seed * 31 + which));
    }

    /** Evenly from 0 to 1, of a question on a day. */
    public double even(Question question, long day) {
        return random(question, day).nextDouble();
    }

    /** From a bell curve round 0 with a spread of 1. */
    public double bell(Question question, long day) {
        return random(question, day).nextGaussian();
    }

    /** Whether something of this chance comes about. */
    public boolean strikes(Question question, long day, double chance) {
        return even(question, day) < chance;
    }

    private SplittableRandom random(Question question, long day) {
        return new SplittableRandom(mix(mix(seed + question.ordinal() * 0x9E3779B97F4A7C15L) + day));
    }

    private static long mix(long z) {
        long a = (z ^ (z >>> 30)) * 0xBF58476D1CE4E5B9L;
        long b = (a ^ (a >>> 27)) * 0x94D049BB133111EBL;
        return b ^ (b >>> 31);
    }

    /** What is asked of it. */
    public enum Question {
        SPECIES_TIME,
        MOTHER_TIME,
        LAYER_TIME,
        STAGE_SHARE,
        ROOTS,
        BRIDGES,
        BRIDGED_WHEN,
        BIRDS,
        ANTS,
        ROT,
        ALGAE,
        TIE,
        SLIP,
        BREAK,
        TOP_DIES,
        MISREADS,
        MISREADS_WHICH,
        MISSES_CONDITION,
        FILL,
        SECTOR,
        MISSES_ROUND,
        ROOT_SUPPLY,
        MOULD,
        GROWTH,
        EDGE,
        FROST_BITE,
        WARM_YEAR,
        WARM_DAY,
        COLD_NIGHT,
        HEAT_WAVE,
        LATE_FROST,
        RAIN,
        RAIN_AMOUNT,
        WIND,
        SET_DAY,
        SET_WOOD
    }
}
