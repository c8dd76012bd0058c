package org.kindgirdle.server.exchange;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.csv.CsvRows;
import org.kindgirdle.server.exchange.Mapping.ColumnSource;
import org.kindgirdle.server.exchange.Mapping.DateOrder;
import org.kindgirdle.server.exchange.RowException.Wrong;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Violation;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Makes rows of a table from the lines of a file, by a mapping. */
final class Translation {

    private static final Pattern NUMBERS_OF_A_DAY = Pattern.compile("(\\d{1,4})\\D+(\\d{1,2})\\D+(\\d{1,4})\\D*");
    private static final int CENTURY = 100;

    private final List<Source> sources = new ArrayList<>();
    private final boolean decimalComma;

    /** @param index of the file's column; -1 if there is none */
    private record Source(Column column, int index, ColumnSource from) {}

    /** @throws ProblemException if the mapping does not fit the table or the file */
    Translation(Mapping mapping, List<Column> columns, List<String> header) {
        this.decimalComma = mapping.decimalComma();
        Map<String, Column> byName = new HashMap<>();
        columns.forEach(column -> byName.put(column.name(), column));
        List<Violation> wrong = new ArrayList<>();
        for (int i = 0; i < mapping.columns().size(); i++) {
            ColumnSource one = mapping.columns().get(i);
            Column column = byName.remove(one.column());
            int index = one.from() == null ? -1 : header.indexOf(one.from());
            if (column == null) {
                wrong.add(new Violation(
                        "columns[" + i + "].column",
                        one.column(),
                        Refusals.say("import.table.column.allowed", "table", mapping.table()),
                        Refusals.say("import.table.column")));
            } else if (one.from() != null && index < 0) {
                wrong.add(new Violation(
                        "columns[" + i + "].from",
                        one.from(),
                        Refusals.say("import.column.allowed"),
                        Refusals.say("import.table.from")));
            } else if (!column.readOnly()) {
                sources.add(new Source(column, index, one));
            }
        }
        if (sources.isEmpty() && wrong.isEmpty()) {
            wrong.add(new Violation(
                    "columns", 0, Refusals.say("import.table.columns.allowed"), Refusals.say("import.table.columns")));
        }
        if (!wrong.isEmpty()) {
            throw ProblemException.invalid(wrong);
        }
    }

    /** @throws RowException with every cell that can't be read */
    ObjectNode row(CsvRows.Line line) {
        ObjectNode row = JsonNodeFactory.instance.objectNode();
        List<Wrong> wrong = new ArrayList<>();
        for (Source source : sources) {
            String written = source.index < 0 ? "" : line.cells().get(source.index);
            try {
                String meant = meant(source, written);
                if (meant.isBlank()) {
                    row.putNull(source.column.name());
                } else {
                    row.set(source.column.name(), Cells.value(source.column, meant));
                }
            } catch (Cells.BadCellException bad) {
                wrong.add(new Wrong(source.column.name(), written, String.valueOf(bad.getMessage())));
            }
        }
        if (!wrong.isEmpty()) {
            throw new RowException(wrong);
        }
        return row;
    }

    private String meant(Source source, String written) {
        String known = source.from.values().get(written.strip());
        if (known != null) {
            return known;
        }
        String always = source.from.always();
        if (written.isBlank()) {
            return always == null ? "" : always;
        }
        return switch (source.column.kind()) {
            case NUMBER, WHOLE -> number(written.strip(), source.from.unit());
            case DATE -> day(written.strip(), source.from.dates());
            default -> written;
        };
    }

    private String number(String written, @Nullable String unit) {
        String plain = decimalComma ? written.replace(".", "").replace(',', '.') : written;
        return unit == null || plain.matches(".*\\p{L}.*|.*[\"'%°].*") ? plain : plain + " " + unit;
    }

    /** Two figures of a year are of the last hundred years or the next few. */
    private static String day(String written, @Nullable DateOrder order) {
        if (order == null || order == DateOrder.YEAR_MONTH_DAY) {
            // what stands after the day is a time
            return written.replaceFirst("^(\\d{4}-\\d{2}-\\d{2})[T ].*", "$1");
        }
        Matcher parts = NUMBERS_OF_A_DAY.matcher(written.replaceFirst("\\s+\\d{1,2}:\\d{2}.*$", ""));
        if (!parts.matches()) {
            throw new Cells.BadCellException(Refusals.say(
                    "import.example", "example", order == DateOrder.DAY_MONTH_YEAR ? "31.12.2025" : "12/31/2025"));
        }
        int first = Integer.parseInt(parts.group(1));
        int second = Integer.parseInt(parts.group(2));
        int year = Integer.parseInt(parts.group(3));
        if (year < CENTURY) {
            year += year < 70 ? 2000 : 1900;
        }
        try {
            return (order == DateOrder.DAY_MONTH_YEAR
                            ? LocalDate.of(year, second, first)
                            : LocalDate.of(year, first, second))
                    .toString();
        } catch (DateTimeException noSuchDay) {
            throw new Cells.BadCellException(Refusals.say("import.noSuchDay"));
        }
    }
}
