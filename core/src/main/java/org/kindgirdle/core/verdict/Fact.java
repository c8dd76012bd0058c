package org.kindgirdle.core.verdict;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.Require;

/**
 * One input that a rule read, with its value; it compares by equality and holds no prose.
 *
 * @param name which input
 * @param value a Boolean, Integer, Double, date, enum or set of enums; null where there is none (no frost comes)
 */
public record Fact(FactName name, @Nullable Object value) {

    /**
     * The value where there must be one.
     *
     * @throws MissingValueException if there is no value behind it
     */
    public Object present() {
        return Require.present(name.name(), value);
    }

    /** The value of an input that is true or false. */
    public boolean isTrue() {
        return (Boolean) present();
    }

    /** The value of an input that counts something. */
    public int count() {
        return (Integer) present();
    }

    /** The value of an input that measures something, in the unit that its name gives; a probability is 0 to 1. */
    public double number() {
        return (Double) present();
    }
}
