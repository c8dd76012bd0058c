package org.kindgirdle.server.exchange;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.FilterReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.SequenceInputStream;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * Reads a CSV file row by row, however long it is. Spreadsheets write commas, semicolons or tabs, and UTF-8 or the
 * Windows code page: the file tells which.
 */
final class CsvRows implements AutoCloseable {

    /** Nothing that anybody types is longer; an unclosed quotation mark is. */
    private static final int LONGEST_ROW = 1_000_000;

    private static final int MAX_COLUMNS = 300;
    private static final Charset WINDOWS = Charset.forName("windows-1252");

    private final CSVParser parser;
    private final Iterator<CSVRecord> records;
    private final Limited limited;
    private final @Nullable List<String> header;
    private long line;

    /** The file can't be read on; the message says from where, and what to do. */
    static final class UnreadableException extends RuntimeException {

        UnreadableException(String message) {
            super(message);
        }
    }

    /** @param cells as they stand there, in the order of the header; those that the row lacks are empty */
    record Line(long number, List<String> cells) {}

    CsvRows(Path file) throws IOException {
        Charset charset = charset(file);
        this.limited = new Limited(reader(file, charset));
        this.parser = CSVParser.parse(
                limited,
                CSVFormat.DEFAULT
                        .builder()
                        .setDelimiter(delimiter(file, charset))
                        .setIgnoreEmptyLines(true)
                        .setLenientEof(false)
                        .get());
        this.records = parser.iterator();
        Line first = next();
        if (first == null) {
            throw new UnreadableException("The file is empty; it needs a header, and a row for each thing.");
        }
        this.header = first.cells.stream()
                .map(one -> Cells.unguarded(one.replace("\uFEFF", "").strip()))
                .toList();
        checkHeader();
    }

    private void checkHeader() {
        if (header.size() > MAX_COLUMNS) {
            throw new UnreadableException("The first line has " + header.size() + " columns; up to " + MAX_COLUMNS
                    + " can be read. Is it a CSV file with a header?");
        }
        Set<String> seen = new HashSet<>();
        for (String name : header) {
            if (!name.isEmpty() && !seen.add(name)) {
                throw new UnreadableException("The column \"" + name
                        + "\" stands in the header twice. Give one of the two another name, and send the file again.");
            }
        }
        if (seen.isEmpty()) {
            throw new UnreadableException("The first line is to be a header with the names of the columns.");
        }
    }

    List<String> header() {
        return header;
    }

    /** The next row that is not empty; null after the last. */
    @Nullable
    Line next() {
        try {
            while (records.hasNext()) {
                CSVRecord record = records.next();
                limited.read = 0;
                List<String> cells = new ArrayList<>(Arrays.asList(record.values()));
                long end = parser.getCurrentLineNumber();
                // blank lines before it and lines within its cells: what is counted is where it begins
                long number = end
                        - cells.stream()
                                .mapToLong(cell -> cell.chars()
                                        .filter(sign -> sign == '\n')
                                        .count())
                                .sum();
                line = end;
                if (header != null) {
                    if (cells.size() > header.size()
                            && cells.subList(header.size(), cells.size()).stream()
                                    .anyMatch(one -> !one.isBlank())) {
                        throw new UnreadableException("Line " + number + " has " + cells.size()
                                + " cells, and the header " + header.size()
                                + ". Perhaps a text with a comma in it is not in quotation marks.");
                    }
                    while (cells.size() < header.size()) {
                        cells.add("");
                    }
                    cells = cells.subList(0, header.size());
                }
                if (cells.stream().anyMatch(cell -> !cell.isBlank())) {
                    return new Line(number, cells);
                }
            }
            return null;
        } catch (IllegalStateException | UncheckedIOException broken) {
            throw new UnreadableException("The file can't be read on from line " + (line + 1)
                    + ": a quotation mark is not closed there, or stands in the middle of a cell.");
        }
    }

    @Override
    public void close() throws IOException {
        parser.close();
    }

    private static Reader reader(Path file, Charset charset) throws IOException {
        // the line of a last row without an end would be counted as the one before
        InputStream in = new SequenceInputStream(
                Files.newInputStream(file), new ByteArrayInputStream("\n".getBytes(StandardCharsets.US_ASCII)));
        return new BufferedReader(new InputStreamReader(in, charset));
    }

    private static Charset charset(Path file) throws IOException {
        try (Reader strict = new InputStreamReader(
                Files.newInputStream(file),
                StandardCharsets.UTF_8
                        .newDecoder()
                        .onMalformedInput(CodingErrorAction.REPORT)
                        .onUnmappableCharacter(CodingErrorAction.REPORT))) {
            char[] some = new char[8192];
            int read = strict.read(some);
            while (read >= 0) {
                read = strict.read(some);
            }
            return StandardCharsets.UTF_8;
        } catch (CharacterCodingException other) {
            return WINDOWS;
        }
    }

    /** The sign that stands most often between the names of the header. */
    private static char delimiter(Path file, Charset charset) throws IOException {
        int[] counts = new int[3];
        boolean quoted = false;
        try (Reader in = reader(file, charset)) {
            int sign = in.read();
            for (int i = 0; i < LONGEST_ROW && sign >= 0 && (quoted || sign != '\n' && sign != '\r'); i++) {
                if (sign == '"') {
                    quoted = !quoted;
                } else if (!quoted) {
                    int which = ",;\t".indexOf(sign);
                    if (which >= 0) {
                        counts[which]++;
                    }
                }
                sign = in.read();
            }
        }
        int best = 0;
        for (int i = 1; i < counts.length; i++) {
            if (counts[i] > counts[best]) {
                best = i;
            }
        }
        return ",;\t".charAt(best);
    }

    /** Ends a row that goes on for too long, before it fills the memory. */
    private static final class Limited extends FilterReader {

        private int read;

        Limited(Reader in) {
            super(in);
        }

        @Override
        public int read() throws IOException {
            int sign = super.read();
            count(sign < 0 ? 0 : 1);
            return sign;
        }

        @Override
        public int read(char[] into, int from, int most) throws IOException {
            int some = super.read(into, from, most);
            count(Math.max(0, some));
            return some;
        }

        private void count(int some) throws IOException {
            read += some;
            if (read > LONGEST_ROW) {
                throw new IOException("a row is too long");
            }
        }
    }
}
