package org.kindgirdle.server.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.exchange.RowException.Wrong;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A table of decisions that were made: its rows are kept as they were, so a file can add some, and none is changed by
 * one.
 */
final class RawTable implements Table {

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final String name;
    private final String table;
    private final List<String> key;
    private final List<Cell> cells;
    private final JdbcTemplate jdbc;
    private final String fixed;

    /**
     * A column of it.
     *
     * @param ref what the number in the database refers to; null if it is no reference
     * @param isNeverNull whether an empty cell is an empty text, not nothing
     */
    record Cell(Column column, String field, @Nullable Ref ref, boolean isNeverNull) {

        static Cell of(String field, Column.CellKind kind) {
            return new Cell(Column.of(field, kind).asNeeded(), field, null, true);
        }

        static Cell maybe(String field, Column.CellKind kind) {
            return new Cell(Column.of(field, kind), field, null, false);
        }

        /** Text that may be empty. */
        static Cell text(String field) {
            return new Cell(Column.of(field, Column.CellKind.TEXT), field, null, true);
        }

        static Cell ref(String column, String field, Ref ref, boolean needed) {
            Column one = Column.of(column, Column.CellKind.NAME);
            return new Cell(needed ? one.asNeeded() : one, field, ref, needed);
        }
    }

    /**
     * @param key columns that tell a row from others
     * @param fixed columns that no file holds, with their values, as {@code "version = 0"}; empty for none
     */
    RawTable(String name, String table, List<String> key, List<Cell> cells, String fixed, JdbcTemplate jdbc) {
        this.name = name;
        this.table = table;
        this.key = key;
        this.cells = cells;
        this.fixed = fixed;
        this.jdbc = jdbc;
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public List<Column> columns() {
        return cells.stream().map(Cell::column).toList();
    }

    @Override
    public void write(Consumer<List<@Nullable JsonNode>> to) {
        rows().forEach(row -> {
            List<@Nullable JsonNode> values = new ArrayList<>();
            cells.forEach(cell -> values.add(row.get(cell.column().name())));
            to.accept(values);
        });
    }

    private List<ObjectNode> rows() {
        Map<String, Ref.Known> names = names();
        return jdbc.query(
                "select " + String.join(", ", cells.stream().map(Cell::field).toList()) + " from " + table
                        + " order by 1, 2",
                (row, index) -> {
                    ObjectNode values = NODES.objectNode();
                    for (int i = 0; i < cells.size(); i++) {
                        Cell cell = cells.get(i);
                        String text = row.getString(i + 1);
                        values.set(cell.column().name(), text == null ? NODES.nullNode() : value(cell, text, names));
                    }
                    return values;
                });
    }

    private static JsonNode value(Cell cell, String text, Map<String, Ref.Known> names) {
        if (cell.ref() != null) {
            String known = Objects.requireNonNull(names.get(cell.field())).name(Long.parseLong(text));
            return known == null ? NODES.nullNode() : NODES.stringNode(known);
        }
        return switch (cell.column().kind()) {
            case NUMBER -> NODES.numberNode(Double.parseDouble(text));
            case WHOLE -> NODES.numberNode(Long.parseLong(text));
            case YES_NO -> NODES.booleanNode(text.equals("1"));
            default -> NODES.stringNode(text);
        };
    }

    private Map<String, Ref.Known> names() {
        Map<String, Ref.Known> names = new HashMap<>();
        cells.forEach(cell -> {
            if (cell.ref() != null) {
                names.put(cell.field(), cell.ref().now());
            }
        });
        return names;
    }

    @Override
    public Intake intake(Tally tally) {
        Map<String, ObjectNode> here = new HashMap<>();
        rows().forEach(row -> here.put(key(row), row));
        return new Taking(here, names(), tally);
    }

    private String key(ObjectNode row) {
        return String.join("\n", key.stream().map(one -> text(row.get(one))).toList());
    }

    private static String text(@Nullable JsonNode value) {
        return value == null || value.isNull() ? "" : value.asString();
    }

    private final class Taking implements Intake {

        private final Map<String, ObjectNode> here;
        private final Map<String, Ref.Known> names;
        private final Tally tally;

        Taking(Map<String, ObjectNode> here, Map<String, Ref.Known> names, Tally tally) {
            this.tally = tally;
            this.here = here;
            this.names = names;
        }

        @Override
        public void take(ObjectNode row, long line) {
            try {
                tally.count(outcome(row));
            } catch (RowException refused) {
                tally.wrong(line, refused.wrong());
            }
        }

        private RowOutcome outcome(ObjectNode row) {
            List<Wrong> missing = cells.stream()
                    .filter(cell -> cell.column().needed()
                            && text(row.get(cell.column().name())).isEmpty())
                    .map(cell -> new Wrong(cell.column().name(), "", Refusals.say("import.row.needs")))
                    .toList();
            if (!missing.isEmpty()) {
                throw new RowException(missing);
            }
            ObjectNode known = here.get(key(row));
            if (known != null) {
                List<Wrong> other = cells.stream()
                        .map(cell -> cell.column().name())
                        .filter(column ->
                                row.has(column) && !text(row.get(column)).equals(text(known.get(column))))
                        .map(column -> new Wrong(
                                column, "", Refusals.say("import.row.otherwise", "known", text(known.get(column)))))
                        .toList();
                if (!other.isEmpty()) {
                    throw new RowException(other);
                }
                return RowOutcome.SAME;
            }
            insert(row);
            here.put(key(row), row);
            return RowOutcome.NEW;
        }

        private void insert(ObjectNode row) {
            List<String> fields = new ArrayList<>();
            List<@Nullable Object> values = new ArrayList<>();
            for (Cell cell : cells) {
                String text = text(row.get(cell.column().name()));
                fields.add(cell.field() + " = ?");
                values.add(
                        text.isEmpty() && !cell.isNeverNull()
                                ? null
                                : cell.ref() != null
                                        ? (Object) Objects.requireNonNull(names.get(cell.field()))
                                                .id(cell.column().name(), text)
                                        : cell.column().kind() == Column.CellKind.YES_NO
                                                ? (Object) text.equals("true")
                                                : text);
            }
            if (!fixed.isEmpty()) {
                fields.add(fixed);
            }
            try {
                jdbc.update("insert into " + table + " set " + String.join(", ", fields), values.toArray());
            } catch (DataAccessException refused) {
                throw new RowException(
                        "", Refusals.say("import.together", "why", reason(refused.getMostSpecificCause())));
            }
        }

        private static String reason(Throwable refused) {
            String said = String.valueOf(refused.getMessage());
            return said.replaceFirst("^\\(conn=\\d+\\) ", "").replaceFirst("\\s*\\(.*", "");
        }
    }
}
