package org.kindgirdle.server.persistence;

import jakarta.persistence.AttributeConverter;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A few of an enum's constants in one column, by their names in the order of the enum: a table of their own would cost
 * a statement with every row that is read, and no index could hold them beside the row's other columns.
 *
 * @param <E> the enum
 */
public abstract class NamesInOrder<E extends Enum<E>> implements AttributeConverter<Set<E>, String> {

    private static final String BETWEEN = ",";

    private final Class<E> type;

    protected NamesInOrder(Class<E> type) {
        this.type = type;
    }

    @Override
    public String convertToDatabaseColumn(@Nullable Set<E> some) {
        return some == null ? "" : some.stream().sorted().map(Enum::name).collect(Collectors.joining(BETWEEN));
    }

    @Override
    public Set<E> convertToEntityAttribute(@Nullable String names) {
        if (names == null || names.isEmpty()) {
            return Set.of();
        }
        Set<E> some = EnumSet.noneOf(type);
        for (String name : names.split(BETWEEN)) {
            some.add(Enum.valueOf(type, name));
        }
        return Collections.unmodifiableSet(some);
    }
}
