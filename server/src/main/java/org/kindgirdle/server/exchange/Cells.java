package org.kindgirdle.server.exchange;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.Quantity;
import org.kindgirdle.server.csv.CsvRows;
import org.kindgirdle.server.problem.SaneDay;
import org.kindgirdle.server.problem.Unseen;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Between the text of a cell and its value. */
final class Cells {

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final String PLAIN_NUMBER = "[-+]?(\\d+\\.?\\d*|\\.\\d+)([eE][-+]?\\d{1,3})?";
    private static final int LONGEST_NUMBER = 40;

    /** How a spreadsheet would begin a formula; and the sign that keeps one from it, which must not be lost either. */
    private static final String BEGINS_A_FORMULA = "=+-@\t\r\n'";

    private Cells() {}

    /** A cell that can't be read. */
    static final class BadCellException extends RuntimeException {

        BadCellException(String message) {
            super(message);
        }
    }

    /** What stands in a file for a value. */
    static String text(Column column, @Nullable JsonNode value) {
        if (value == null || value.isNull() || value.isMissingNode()) {
            return "";
        }
        String text = switch (column.kind()) {
            case NUMBER -> number(value.doubleValue());
            case YES_NO -> value.booleanValue() ? "yes" : "no";
            case DAY_OF_YEAR -> value.asString().replaceFirst("^--", "");
            case CODES ->
                String.join(
                        "; ",
                        value.valueStream().map(JsonNode::asString).sorted().toList());
            case NUMBERS ->
                String.join(
                        "; ",
                        value.valueStream()
                                .map(one -> number(one.doubleValue()))
                                .toList());
            case PARTS ->
                String.join(
                        "; ",
                        value.propertyStream()
                                .map(part -> part.getKey() + ": "
                                        + number(part.getValue().doubleValue()))
                                .sorted()
                                .toList());
            default -> value.asString();
        };
        return column.kind().isPlainNumber() ? text : guarded(text);
    }

    /** Text that no spreadsheet takes for a formula: an apostrophe stands before what it could. */
    static String guarded(String text) {
        return !text.isEmpty() && BEGINS_A_FORMULA.indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    }

    /**
     * The value of a cell that is not empty.
     *
     * @throws BadCellException with what is wrong, and what to write instead
     */
    static JsonNode value(Column column, String cell) {
        String text = column.kind().isText()
                ? CsvRows.unguarded(cell)
                : column.kind().isPlainNumber() ? cell.strip() : CsvRows.unguarded(cell.strip());
        if (Unseen.in(text, column.kind() == Column.CellKind.TEXT)) {
            throw new BadCellException(Refusals.say("import.unseen", "text", Unseen.shown(text)));
        }
        try {
            return switch (column.kind()) {
                case TEXT, NAME -> NODES.stringNode(text);
                case NUMBER -> NODES.numberNode(number(column, text));
                case WHOLE -> NODES.numberNode(whole(text));
                case YES_NO -> NODES.booleanNode(yes(text));
                case DATE -> NODES.stringNode(day(text));
                case DAY_OF_YEAR ->
                    NODES.stringNode(MonthDay.parse(text.startsWith("--") ? text : "--" + text)
                            .toString());
                case INSTANT -> NODES.stringNode(Instant.parse(text).toString());
                case UUID -> NODES.stringNode(UUID.fromString(text).toString());
                case CODE -> NODES.stringNode(code(column, text));
                case CODES -> codes(column, text);
                case NUMBERS -> numbers(text);
                case PARTS -> parts(text);
            };
        } catch (DateTimeException notRead) {
            throw new BadCellException(Refusals.say("import.example", "example", example(column.kind())));
        } catch (IllegalArgumentException notRead) {
            throw new BadCellException(
                    notRead instanceof NumberFormatException || notRead.getMessage() == null
                            ? Refusals.say("import.example", "example", example(column.kind()))
                            : notRead.getMessage());
        }
    }

    private static String day(String text) {
        LocalDate day = LocalDate.parse(text);
        if (day.isBefore(SaneDay.FIRST) || day.isAfter(SaneDay.LAST)) {
            throw new IllegalArgumentException("A day lies from " + SaneDay.FIRST + " to " + SaneDay.LAST + ".");
        }
        return day.toString();
    }

    static String example(Column.CellKind kind) {
        return switch (kind) {
            case TEXT, NAME -> "any text";
            case NUMBER -> "12.5";
            case WHOLE -> "12";
            case YES_NO -> "yes or no";
            case DATE -> "2026-07-10";
            case DAY_OF_YEAR -> "05-12, the twelfth of May";
            case INSTANT -> "2026-07-10T09:30:00Z";
            case UUID -> "0b6f7c6e-3f5e-4d0e-9d6c-0c1d2e3f4a5b";
            case CODE -> "one of its words";
            case CODES -> "FIRST; SECOND";
            case NUMBERS -> "1.5; 2; 3.25";
            case PARTS -> "Moss: 2; Perlite: 1";
        };
    }

    private static String number(double value) {
        return value == 0 ? "0" : BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }

    private static double number(Column column, String text) {
        if (text.length() <= LONGEST_NUMBER && text.matches(PLAIN_NUMBER)) {
            return Double.parseDouble(text);
        }
        if (column.dimension() != null) {
            return Quantity.parse(column.dimension(), text).doubleValue();
        }
        throw new BadCellException(Refusals.say("import.number"));
    }

    private static long whole(String text) {
        if (!text.matches("[-+]?\\d{1,18}(\\.0*)?")) {
            throw new BadCellException(Refusals.say("import.wholeNumber"));
        }
        return Long.parseLong(text.replaceFirst("\\..*", ""));
    }

    private static boolean yes(String text) {
        return switch (text.toLowerCase(Locale.ROOT)) {
            case "yes", "y", "true", "1", "x" -> true;
            case "no", "n", "false", "0" -> false;
            default -> throw new BadCellException(Refusals.say("import.yesNo"));
        };
    }

    private static String code(Column column, String text) {
        String code = text.strip().toUpperCase(Locale.ROOT).replaceAll("[\\s-]+", "_");
        if (!column.codes().isEmpty() && !column.codes().contains(code)) {
            throw new BadCellException(Refusals.say("import.codes", "codes", String.join(", ", column.codes())));
        }
        return column.codes().isEmpty() ? text.strip() : code;
    }

    private static ArrayNode codes(Column column, String text) {
        ArrayNode codes = NODES.arrayNode();
        for (String one : items(text)) {
            codes.add(code(column, one));
        }
        return codes;
    }

    private static ArrayNode numbers(String text) {
        ArrayNode numbers = NODES.arrayNode();
        for (String one : items(text)) {
            double value = Double.parseDouble(one);
            if (value == Math.rint(value) && Math.abs(value) < 1e9) {
                numbers.add((int) value);
            } else {
                numbers.add(value);
            }
        }
        return numbers;
    }

    private static ObjectNode parts(String text) {
        Map<String, Double> parts = new TreeMap<>();
        for (String one : items(text)) {
            int colon = one.lastIndexOf(':');
            if (colon < 1) {
                throw new BadCellException(Refusals.say("import.example", "example", example(Column.CellKind.PARTS)));
            }
            parts.put(
                    one.substring(0, colon).strip(),
                    Double.parseDouble(one.substring(colon + 1).strip()));
        }
        ObjectNode all = NODES.objectNode();
        parts.forEach(all::put);
        return all;
    }

    private static List<String> items(String text) {
        List<String> items = new ArrayList<>();
        for (String one : text.split(";")) {
            if (!one.isBlank()) {
                items.add(one.strip());
            }
        }
        return items;
    }
}
