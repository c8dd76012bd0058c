package org.kindgirdle.server.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes a table as CSV: RFC 4180, a header with the names of the columns, a row each. */
final class CsvOut {

    static final CSVFormat FORMAT = CSVFormat.RFC4180;

    private CsvOut() {}

    static void write(Table table, Writer to) {
        List<Column> columns = table.columns();
        try {
            CSVPrinter out = new CSVPrinter(to, FORMAT);
            out.printRecord(columns.stream().map(Column::name));
            table.write(values -> {
                try {
                    for (int i = 0; i < values.size(); i++) {
                        out.print(Cells.text(columns.get(i), values.get(i)));
                    }
                    out.println();
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
            out.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
