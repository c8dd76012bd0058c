package org.kindgirdle.core.units;

/** A value that must be there and is not. */
public final class MissingValueException extends IllegalArgumentException {

    private final String name;

    MissingValueException(String name) {
        super(name + " is missing");
        this.name = name;
    }

    /** The name of the record component or parameter. */
    public String name() {
        return name;
    }
}
