package org.kindgirdle.core.units;

import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Range checks, written so that NaN fails them. */
public final class Require {

    private Require() {}

    /**
     * Returns the value if {@code low <= value <= high}.
     *
     * @throws OutOfRangeException otherwise, or if it is NaN
     */
    public static double within(String name, double value, double low, double high) {
        if (!(value >= low && value <= high)) {
            throw new OutOfRangeException(name, value, low, high);
        }
        return value;
    }

    /**
     * Returns the value if there is one.
     *
     * @throws MissingValueException otherwise
     */
    public static <T> T present(String name, @Nullable T value) {
        if (value == null) {
            throw new MissingValueException(name);
        }
        return value;
    }

    /**
     * Returns the value if it is finite and above zero.
     *
     * @throws OutOfRangeException otherwise
     */
    public static double positive(String name, double value) {
        if (!(value > 0 && value < Double.POSITIVE_INFINITY)) {
            throw new OutOfRangeException(name, value, Double.MIN_VALUE, Double.MAX_VALUE);
        }
        return value;
    }

    /**
     * Returns the code if it is one of those.
     *
     * @throws NotOneOfException otherwise
     */
    public static <E extends Enum<E>> E oneOf(String name, E value, Set<E> allowed) {
        if (!allowed.contains(value)) {
            throw new NotOneOfException(name, value, allowed);
        }
        return value;
    }
}
