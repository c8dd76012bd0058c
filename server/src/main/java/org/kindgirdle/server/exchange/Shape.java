package org.kindgirdle.server.exchange;

import jakarta.validation.constraints.Size;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.http.Quantities;
import org.kindgirdle.server.problem.Within;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The columns that a record makes: one a component, those of records within it after their names. */
final class Shape {

    /**
     * Where a column's value stands in the record's JSON.
     *
     * @param path names of components, from the outermost
     * @param ref what the number there refers to; null if it is no reference
     */
    record Place(Column column, List<String> path, @Nullable Ref ref) {

        /** As a violation names it. */
        String field() {
            return String.join(".", path);
        }

        /** Its value in a record's JSON; null if there is none. */
        @Nullable
        JsonNode in(JsonNode tree) {
            JsonNode at = tree;
            for (String name : path) {
                at = at.path(name);
            }
            return at.isMissingNode() ? null : at;
        }

        /** Puts its value into a record's JSON. */
        void set(ObjectNode tree, JsonNode value) {
            ObjectNode at = tree;
            for (String name : path.subList(0, path.size() - 1)) {
                at = at.withObjectProperty(name);
            }
            at.set(path.get(path.size() - 1), value);
        }
    }

    private final Class<?> record;
    private final Set<String> without = new HashSet<>();
    private final Set<String> flat = new HashSet<>();
    private final Set<String> readOnly = new HashSet<>();
    private final Map<String, Ref> refs = new HashMap<>();

    private Shape(Class<?> record) {
        this.record = record;
    }

    static Shape of(Class<?> record) {
        return new Shape(record);
    }

    /** Leaves components out. */
    Shape without(String... paths) {
        without.addAll(List.of(paths));
        return this;
    }

    /** Components of this record stand in the row by their own names. */
    Shape flat(String... paths) {
        flat.addAll(List.of(paths));
        return this;
    }

    /** Components that only go out. */
    Shape readOnly(String... paths) {
        readOnly.addAll(List.of(paths));
        return this;
    }

    /** A component that is the id of another table's row: the column has its name. */
    Shape ref(String path, Ref ref) {
        refs.put(path, ref);
        return this;
    }

    List<Place> places() {
        List<Place> places = new ArrayList<>();
        add(record, List.of(), "", false, places);
        return List.copyOf(places);
    }

    private void add(Class<?> type, List<String> path, String prefix, boolean optional, List<Place> to) {
        for (RecordComponent component : type.getRecordComponents()) {
            List<String> at = new ArrayList<>(path);
            at.add(component.getName());
            String field = String.join(".", at);
            if (without.contains(field)) {
                continue;
            }
            boolean isOptional = optional || isNullable(component);
            Class<?> raw = component.getType();
            if (raw.isRecord() && kind(component.getGenericType()) == null) {
                String within = flat.contains(field) ? prefix : prefix + snake(component.getName()) + "_";
                add(raw, at, within, isOptional, to);
                continue;
            }
            Ref ref = refs.get(field);
            String name = prefix + snake(ref == null ? component.getName() : stripId(component.getName()));
            Column.CellKind kind = ref == null ? kind(component.getGenericType()) : Column.CellKind.NAME;
            if (kind == null) {
                throw new IllegalStateException(field + " of " + record + " fits no column: " + raw);
            }
            to.add(new Place(
                    new Column(
                            name,
                            kind,
                            !isOptional,
                            readOnly.contains(field),
                            codes(component.getGenericType()),
                            kind == Column.CellKind.NUMBER ? Quantities.dimension(component.getName()) : null,
                            range(component)),
                    List.copyOf(at),
                    ref));
        }
    }

    private static String stripId(String name) {
        return name.replaceFirst("(Id|Code)$", "");
    }

    /** {@code ringWidthMm} is {@code ring_width_mm}. */
    static String snake(String name) {
        return name.replaceAll("([a-z0-9])([A-Z])", "$1_$2").toLowerCase(Locale.ROOT);
    }

    private static boolean isNullable(RecordComponent component) {
        return has(component, Nullable.class) || has(component.getAnnotatedType(), Nullable.class);
    }

    private static boolean has(AnnotatedElement element, Class<?> annotation) {
        return Arrays.stream(element.getAnnotations())
                .anyMatch(one -> one.annotationType().equals(annotation));
    }

    static Column.@Nullable CellKind kind(Type type) {
        if (type instanceof ParameterizedType generic) {
            Class<?> raw = (Class<?>) generic.getRawType();
            Type[] of = generic.getActualTypeArguments();
            if (Collection.class.isAssignableFrom(raw) && of[0] instanceof Class<?> item) {
                return Number.class.isAssignableFrom(item)
                        ? Column.CellKind.NUMBERS
                        : item.isEnum() || item == String.class ? Column.CellKind.CODES : null;
            }
            return Map.class.isAssignableFrom(raw) && of[0] == String.class && of[1] == Double.class
                    ? Column.CellKind.PARTS
                    : null;
        }
        if (!(type instanceof Class<?> plain)) {
            return null;
        }
        if (plain.isEnum()) {
            return Column.CellKind.CODE;
        }
        return switch (plain.getSimpleName()) {
            case "String" -> Column.CellKind.TEXT;
            case "int", "Integer", "long", "Long" -> Column.CellKind.WHOLE;
            case "double", "Double" -> Column.CellKind.NUMBER;
            case "boolean", "Boolean" -> Column.CellKind.YES_NO;
            // the eight sectors are written as the list of their densities
            case "Sectors" -> Column.CellKind.NUMBERS;
            default ->
                plain == LocalDate.class
                        ? Column.CellKind.DATE
                        : plain == MonthDay.class
                                ? Column.CellKind.DAY_OF_YEAR
                                : plain == Instant.class
                                        ? Column.CellKind.INSTANT
                                        : plain == UUID.class ? Column.CellKind.UUID : null;
        };
    }

    static List<String> codes(Type type) {
        Type of = type instanceof ParameterizedType generic ? generic.getActualTypeArguments()[0] : type;
        return of instanceof Class<?> plain && plain.isEnum()
                ? Arrays.stream(plain.getEnumConstants())
                        .map(one -> ((Enum<?>) one).name())
                        .toList()
                : List.of();
    }

    private static String range(RecordComponent component) {
        AnnotatedType type = component.getAnnotatedType();
        Within within = component.getAnnotation(Within.class) == null
                ? type.getAnnotation(Within.class)
                : component.getAnnotation(Within.class);
        if (within != null) {
            return plain(within.low()) + " to " + plain(within.high());
        }
        Size size = component.getAnnotation(Size.class) == null
                ? type.getAnnotation(Size.class)
                : component.getAnnotation(Size.class);
        return size == null || component.getType() != String.class ? "" : "up to " + size.max() + " characters";
    }

    private static String plain(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }
}
