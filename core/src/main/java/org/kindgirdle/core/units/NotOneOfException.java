package org.kindgirdle.core.units;

import java.util.Collection;
import java.util.List;

/** A code that does not go with the others of its record, with the parts that an error message is made from. */
public final class NotOneOfException extends IllegalArgumentException {

    private final String name;
    private final Enum<?> value;
    private final List<String> allowed;

    NotOneOfException(String name, Enum<?> value, Collection<? extends Enum<?>> allowed) {
        super(name + " is " + value + "; here it must be one of " + allowed);
        this.name = name;
        this.value = value;
        this.allowed = allowed.stream()
                .map(one -> (Enum<?>) one)
                .map(Enum::name)
                .sorted()
                .toList();
    }

    /** The name of the record component or parameter. */
    public String name() {
        return name;
    }

    /** The code that was given. */
    public Enum<?> value() {
        return value;
    }

    /** The codes that are allowed, sorted. */
    public List<String> allowed() {
        return allowed;
    }
}
