package org.kindgirdle.core.units;

/** Range checks, written so that NaN fails them. */
public final class Require {

    private Require() {}

    /** Returns the value if {@code low <= value <= high}. */
    public static double within(String name, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw new IllegalArgumentException(name + " is " + value + "; it must be from " + low + " to " + high);
        }
        return value;
    }

    /** Returns the value if it is finite and above zero. */
    public static double positive(String name, double value) {
        if (!(value > 0 && value < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException(name + " is " + value + "; it must be above 0");
        }
        return value;
    }
}
