package org.kindgirdle.server.exchange;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.exchange.RowException.Wrong;
import org.kindgirdle.server.problem.FileValues;
import org.kindgirdle.server.problem.Violation;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Reads the cells of a row. */
final class RowCells {

    private RowCells() {}

    /** Null if the cell is empty, or the file has no such column. */
    static @Nullable String text(ObjectNode cells, String column) {
        JsonNode value = cells.get(column);
        return value == null || value.isNull() || value.asString().isBlank()
                ? null
                : value.asString().strip();
    }

    /** Of a cell that is known to be there. */
    static String need(ObjectNode cells, String column) {
        return String.valueOf(text(cells, column));
    }

    /** Null if the cell is empty. */
    static @Nullable LocalDate date(ObjectNode cells, String column) {
        String text = text(cells, column);
        return text == null ? null : LocalDate.parse(text);
    }

    /** @throws RowException naming those that are empty */
    static void checkThere(ObjectNode cells, List<String> columns, String message) {
        List<Wrong> missing = columns.stream()
                .filter(column -> text(cells, column) == null)
                .map(column -> new Wrong(column, "", message))
                .toList();
        if (!missing.isEmpty()) {
            throw new RowException(missing);
        }
    }

    /** @throws RowException naming the column whose value the record refuses */
    static <T> T record(JsonMapper json, ObjectNode tree, Class<T> type) {
        try {
            return json.treeToValue(tree, type);
        } catch (JacksonException unreadable) {
            Violation why = FileValues.violation(unreadable);
            throw new RowException(Shape.snake(why.field()), sentence(why.message()));
        }
    }

    /** What a constraint says, as a sentence. */
    static String sentence(String message) {
        return Character.toUpperCase(message.charAt(0)) + message.substring(1) + (message.endsWith(".") ? "" : ".");
    }
}
