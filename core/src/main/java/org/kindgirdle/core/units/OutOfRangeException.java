package org.kindgirdle.core.units;

/** A value outside its range, with the parts that an error message is made from. */
public final class OutOfRangeException extends IllegalArgumentException {

    private final String name;
    private final double value;
    private final double low;
    private final double high;

    OutOfRangeException(String name, double value, double low, double high) {
        super(name + " is " + value + "; it must be from " + low + " to " + high);
        this.name = name;
        this.value = value;
        this.low = low;
        this.high = high;
    }

    /** The name of the record component or parameter. */
    public String name() {
        return name;
    }

    /** The value that was given. */
    public double value() {
        return value;
    }

    /** The least value allowed. */
    public double low() {
        return low;
    }

    /** The greatest value allowed. */
    public double high() {
        return high;
    }
}
