package org.kindgirdle.core.harden;

import java.util.Optional;

/** The steps from a closed tent to the open, with the days that a plant in leaf stands on each. */
public enum Rung {
    /** closed, shade 80% */
    TENT(10),
    /** shade 70% */
    SHADE(14),
    /** shade 40% */
    HALF(10),
    /** shade 20% */
    LIGHT(7),
    OPEN(7);

    private final int days;

    Rung(int days) {
        this.days = days;
    }

    public int days() {
        return days;
    }

    public Optional<Rung> up() {
        return this == OPEN ? Optional.empty() : Optional.of(values()[ordinal() + 1]);
    }

    public Optional<Rung> down() {
        return this == TENT ? Optional.empty() : Optional.of(values()[ordinal() - 1]);
    }
}
