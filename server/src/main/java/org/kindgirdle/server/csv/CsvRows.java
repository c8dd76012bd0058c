package org.kindgirdle.server.csv;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.FilterReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.SequenceInputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.sentences.Refusals;

/**
 * Reads a CSV file row by row, however long it is. Spreadsheets write commas, semicolons or tabs, and UTF-8 or the
 * Windows code page: the file tells which.
 */
public final class CsvRows implements AutoCloseable {

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
    public static final class UnreadableException extends RuntimeException {

        private final long line;

        UnreadableException(long line, String message) {
            super(message);
            this.line = line;
        }

        /** Of the file, from 1. */
        public long line() {
            return line;
        }
    }

    /**
     * @param number of the file's line in which it begins, from 1
     * @param cells as they stand there
     */
    public record Line(long number, List<String> cells) {}

    /** Opens what is read from its beginning; it is done more than once. */
    private interface Source {
        Reader open() throws IOException;
    }

    private CsvRows(Source source) throws IOException {
        this.limited = new Limited(source.open());
        this.parser = CSVParser.parse(
                limited,
                CSVFormat.DEFAULT
                        .builder()
                        .setDelimiter(delimiter(source))
                        .setIgnoreEmptyLines(true)
                        .setLenientEof(false)
                        .get());
        this.records = parser.iterator();
        Line first = next();
        if (first == null) {
            throw new UnreadableException(1, Refusals.say("csv.empty"));
        }
        this.header = first.cells.stream()
                .map(one -> unguarded(one.replace("\uFEFF", "").strip()))
                .toList();
        checkHeader(first.number);
    }

    /** @throws UnreadableException if it has no header that tells its columns apart */
    public static CsvRows of(Path file) throws IOException {
        Charset charset = charset(file);
        return new CsvRows(() -> reader(file, charset));
    }

    /** @throws UnreadableException if it has no header that tells its columns apart */
    public static CsvRows of(String text) throws IOException {
        // the line of a last row without an end would be counted as the one before
        return new CsvRows(() -> new StringReader(text + "\n"));
    }

    /** A cell without the one apostrophe that keeps a spreadsheet from taking it for a formula. */
    public static String unguarded(String text) {
        return text.startsWith("'") ? text.substring(1) : text;
    }

    private void checkHeader(long at) {
        if (header.size() > MAX_COLUMNS) {
            throw new UnreadableException(
                    at, Refusals.say("csv.columns", "header", header.size(), "maxColumns", MAX_COLUMNS));
        }
        Set<String> seen = new HashSet<>();
        for (String name : header) {
            if (!name.isEmpty() && !seen.add(name)) {
                throw new UnreadableException(at, Refusals.say("csv.twice", "name", name));
            }
        }
        if (seen.isEmpty()) {
            throw new UnreadableException(at, Refusals.say("csv.header"));
        }
    }

    /** Names of the columns. */
    public List<String> header() {
        return header;
    }

    /**
     * The next row that is not empty, with as many cells as the header has: those that it lacks are empty.
     *
     * @return null after the last
     * @throws UnreadableException if it has more of them, or can't be read
     */
    public @Nullable Line next() {
        Line found = nextAsWritten();
        if (found == null || header == null) {
            return found;
        }
        List<String> cells = found.cells;
        if (cells.size() > header.size()
                && cells.subList(header.size(), cells.size()).stream().anyMatch(one -> !one.isBlank())) {
            throw new UnreadableException(
                    found.number,
                    Refusals.say("csv.cells", "number", found.number, "cells", cells.size(), "header", header.size()));
        }
        List<String> fitted = new ArrayList<>(cells.subList(0, Math.min(cells.size(), header.size())));
        while (fitted.size() < header.size()) {
            fitted.add("");
        }
        return new Line(found.number, fitted);
    }

    /**
     * The next row that is not empty, with the cells that it has.
     *
     * @return null after the last
     * @throws UnreadableException if it can't be read
     */
    public @Nullable Line nextAsWritten() {
        try {
            while (records.hasNext()) {
                CSVRecord record = records.next();
                limited.read = 0;
                List<String> cells = record.toList();
                long end = parser.getCurrentLineNumber();
                // blank lines before it and lines within its cells: what is counted is where it begins
                long number = end
                        - cells.stream()
                                .mapToLong(cell -> cell.chars()
                                        .filter(sign -> sign == '\n')
                                        .count())
                                .sum();
                line = end;
                if (cells.stream().anyMatch(cell -> !cell.isBlank())) {
                    return new Line(number, cells);
                }
            }
            return null;
        } catch (IllegalStateException | UncheckedIOException broken) {
            throw new UnreadableException(line + 1, Refusals.say("csv.quotes", "line", line + 1));
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
    private static char delimiter(Source source) throws IOException {
        int[] counts = new int[3];
        boolean quoted = false;
        try (Reader in = source.open()) {
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
