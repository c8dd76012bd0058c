package org.kindgirdle.server.exchange;

import jakarta.validation.Validator;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.exchange.RowException.Wrong;
import org.kindgirdle.server.problem.FileValues;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Violation;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A table whose rows are what a page of the house reads and writes: what may stand in it is checked by the same
 * constraints and kept by the same service.
 */
final class BeanTable<T extends Record> implements Table {

    private final String name;
    private final Class<T> type;
    private final List<Shape.Place> places;
    private final ObjectNode template;
    private final Supplier<KeptRows<T>> keptRows;
    private final JsonMapper json;
    private final Validator validator;

    /** Where the rows live; one is made for each file. */
    interface KeptRows<T> {

        List<T> all();

        /** By what a row is told from others. */
        Object key(T row);

        /** @param before the row as it is here; null for a new one. @return as it was kept */
        T keep(T row, @Nullable T before);

        /** After the last row of a file. */
        default void finish() {}
    }

    /** @param template what a new row has where its file says nothing */
    BeanTable(
            String name, Class<T> type, Shape shape, ObjectNode template, Supplier<KeptRows<T>> keptRows, Tools tools) {
        this.name = name;
        this.type = type;
        this.keptRows = keptRows;
        this.json = tools.json();
        this.validator = tools.validator();
        this.template = template;
        this.places = shape.places().stream()
                .map(place -> at(this.template, place.path()) == null
                        ? place
                        : new Shape.Place(place.column().asOptional(), place.path(), place.ref()))
                .toList();
    }

    /** What every such table works with. */
    record Tools(JsonMapper json, Validator validator) {

        /** What a new one has, without what a file must say. */
        ObjectNode templateOf(Object fresh, String... toBeSaid) {
            ObjectNode template = json.valueToTree(fresh);
            template.remove(List.of(toBeSaid));
            return template;
        }
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public List<Column> columns() {
        return places.stream().map(Shape.Place::column).toList();
    }

    @Override
    public void write(Consumer<List<@Nullable JsonNode>> to) {
        Map<Ref, Ref.Known> names = names();
        for (T row : keptRows.get().all()) {
            JsonNode tree = json.valueToTree(row);
            List<@Nullable JsonNode> values = new ArrayList<>();
            for (Shape.Place place : places) {
                JsonNode value = at(tree, place.path());
                values.add(place.ref() == null ? value : named(names.get(place.ref()), value));
            }
            to.accept(values);
        }
    }

    private @Nullable JsonNode named(Ref.@Nullable Known known, @Nullable JsonNode id) {
        String name = known == null || id == null || id.isNull() ? null : known.name(id.asLong());
        return name == null ? null : json.getNodeFactory().stringNode(name);
    }

    private Map<Ref, Ref.Known> names() {
        Map<Ref, Ref.Known> names = new HashMap<>();
        places.stream().map(Shape.Place::ref).forEach(ref -> {
            if (ref != null) {
                names.computeIfAbsent(ref, Ref::now);
            }
        });
        return names;
    }

    @Override
    public Intake intake(Tally tally) {
        KeptRows<T> kept = keptRows.get();
        Map<Object, T> here = new HashMap<>();
        kept.all().forEach(row -> here.put(kept.key(row), row));
        return new Taking(kept, here, names(), tally);
    }

    private final class Taking implements Intake {

        private final KeptRows<T> kept;
        private final Map<Object, T> here;
        private final Map<Ref, Ref.Known> names;
        private final Tally tally;
        private final Map<Object, Long> lines = new HashMap<>();

        Taking(KeptRows<T> kept, Map<Object, T> here, Map<Ref, Ref.Known> names, Tally tally) {
            this.tally = tally;
            this.kept = kept;
            this.here = here;
            this.names = names;
        }

        @Override
        public void take(ObjectNode row, long line) {
            try {
                tally.count(outcome(row, line));
            } catch (RowException refused) {
                tally.wrong(line, refused.wrong());
            }
        }

        private RowOutcome outcome(ObjectNode row, long line) {
            Object key = kept.key(read(merged(template.deepCopy(), row, true)));
            T before = here.get(key);
            T edit = before == null
                    ? read(merged(template.deepCopy(), row, true))
                    : read(merged((ObjectNode) json.valueToTree(before), row, false));
            check(edit);
            if (edit.equals(before)) {
                lines.putIfAbsent(key, line);
                return RowOutcome.SAME;
            }
            Long earlier = lines.putIfAbsent(key, line);
            if (earlier != null) {
                throw new RowException("", Refusals.say("import.row.twice", "line", earlier));
            }
            try {
                here.put(key, kept.keep(edit, before));
            } catch (ProblemException refused) {
                throw wrong(refused);
            }
            return before == null ? RowOutcome.NEW : RowOutcome.CHANGED;
        }

        @Override
        public void finish() {
            try {
                kept.finish();
            } catch (ProblemException refused) {
                tally.wrong(0, wrong(refused).wrong());
            }
        }

        /** The row over what is here, or over what a new row begins with. */
        private ObjectNode merged(ObjectNode base, ObjectNode row, boolean fresh) {
            List<Wrong> missing = new ArrayList<>();
            for (Shape.Place place : places) {
                Column column = place.column();
                JsonNode value = row.get(column.name());
                if (column.readOnly() || value == null) {
                    continue;
                }
                if (!value.isNull()) {
                    Ref.Known known = place.ref() == null ? null : names.get(place.ref());
                    put(
                            base,
                            place.path(),
                            known == null
                                    ? value
                                    : json.getNodeFactory().numberNode(known.id(column.name(), value.asString())));
                } else if (column.kind() == Column.CellKind.TEXT) {
                    put(base, place.path(), json.getNodeFactory().stringNode(""));
                } else if (column.kind() == Column.CellKind.CODES || column.kind() == Column.CellKind.NUMBERS) {
                    put(base, place.path(), json.getNodeFactory().arrayNode());
                } else if (column.kind() == Column.CellKind.PARTS) {
                    put(base, place.path(), json.getNodeFactory().objectNode());
                } else if (!fresh && isNullable(place)) {
                    put(base, place.path(), json.getNodeFactory().nullNode());
                }
            }
            for (Shape.Place place : places) {
                JsonNode value = at(base, place.path());
                if (place.column().needed() && (value == null || value.isNull())) {
                    missing.add(new Wrong(place.column().name(), "", Refusals.say("import.row.new")));
                }
            }
            if (!missing.isEmpty()) {
                throw new RowException(missing);
            }
            dropEmptyParts(base);
            return base;
        }

        private boolean isNullable(Shape.Place place) {
            return !place.column().needed() && at(template, place.path()) == null;
        }

        private T read(ObjectNode tree) {
            try {
                return json.treeToValue(tree, type);
            } catch (JacksonException unreadable) {
                Violation why = FileValues.violation(unreadable);
                throw new RowException(List.of(wrong(why.field(), why.message())));
            }
        }

        private void check(T edit) {
            List<Wrong> wrong = validator.validate(edit).stream()
                    .map(one -> wrong(one.getPropertyPath().toString(), one.getMessage()))
                    .toList();
            if (!wrong.isEmpty()) {
                throw new RowException(wrong);
            }
        }
    }

    /** A part of which nothing is known is none: frosts without a date are no frosts. */
    private void dropEmptyParts(ObjectNode base) {
        for (Shape.Place place : places) {
            if (place.path().size() > 1) {
                String part = place.path().get(0);
                JsonNode value = base.get(part);
                if (value instanceof ObjectNode object && object.valueStream().allMatch(JsonNode::isNull)) {
                    base.putNull(part);
                }
            }
        }
    }

    private RowException wrong(ProblemException refused) {
        return refused.violations().isEmpty()
                ? new RowException("", String.valueOf(refused.getMessage()))
                : new RowException(refused.violations().stream()
                        .map(one -> wrong(one.field(), one.message()))
                        .toList());
    }

    private Wrong wrong(String field, String message) {
        String column = places.stream()
                .filter(place -> place.field().equals(field)
                        || place.path().get(place.path().size() - 1).equals(field))
                .map(place -> place.column().name())
                .findFirst()
                .orElse(Shape.snake(field).replace('.', '_'));
        return new Wrong(column, "", RowCells.sentence(message));
    }

    private static @Nullable JsonNode at(JsonNode tree, List<String> path) {
        JsonNode node = tree;
        for (String step : path) {
            node = node == null || node.isNull() ? null : node.get(step);
        }
        return node;
    }

    private static void put(ObjectNode tree, List<String> path, JsonNode value) {
        ObjectNode node = tree;
        for (String step : path.subList(0, path.size() - 1)) {
            JsonNode next = node.get(step);
            node = next instanceof ObjectNode object ? object : node.putObject(step);
        }
        node.set(path.get(path.size() - 1), value);
    }
}
