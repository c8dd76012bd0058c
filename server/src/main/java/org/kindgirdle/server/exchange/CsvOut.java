package org.kindgirdle.server.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** Writes a table as CSV: RFC 4180, a header with the names of the columns, a row each. */
final class CsvOut {

    private static final Pattern MARKED = Pattern.compile("[,;|\"\\t\\r\\n]|^\\s|\\s$");

    private CsvOut() {}

    static void write(Table table, Writer to) {
        List<Column> columns = table.columns();
        try {
            line(columns.stream().map(Column::name).toList(), to);
            table.write(values -> {
                List<String> cells = new ArrayList<>();
                for (int i = 0; i < values.size(); i++) {
                    cells.add(Cells.text(columns.get(i), values.get(i)));
                }
                try {
                    line(cells, to);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
            to.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * As RFC 4180 has it. In marks is besides what a spreadsheet set to another separator would else split, so that the
     * rest of a text can't become a cell, and a formula, of its own.
     */
    private static void line(List<String> cells, Writer to) throws IOException {
        for (int i = 0; i < cells.size(); i++) {
            String cell = cells.get(i);
            if (i > 0) {
                to.write(',');
            }
            if (MARKED.matcher(cell).find()) {
                to.write('"');
                to.write(cell.replace("\"", "\"\""));
                to.write('"');
            } else {
                to.write(cell);
            }
        }
        to.write("\r\n");
    }
}
