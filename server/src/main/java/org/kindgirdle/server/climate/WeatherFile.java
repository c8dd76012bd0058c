package org.kindgirdle.server.climate;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.csv.CsvRows;
import org.kindgirdle.server.sentences.Refusals;

/**
 * A CSV of weather: a header with {@code date}, {@code min_c} and {@code max_c}, and if they are known {@code wind_ms}
 * and {@code rain_mm}, in any order; ISO dates, numbers with a point. Everything wrong is found, by line and column.
 *
 * @param days the good rows
 * @param bad what is wrong, in the order of the lines; the first thousand
 * @param badRows how many rows have something wrong
 */
record WeatherFile(List<WeatherDay> days, List<BadReading> bad, int badRows) {

    private static final List<String> NEEDED = List.of("date", "min_c", "max_c");
    private static final Set<String> KNOWN = Set.of("date", "min_c", "max_c", "wind_ms", "rain_mm");
    private static final int MAX_BAD = 1000;
    private static final int MAX_SHOWN = 60;
    private static final char NOT_UTF_8 = '\uFFFD';

    /**
     * @param line of the file, from 1
     * @param column its name; empty for the whole line
     * @param value what stands there
     */
    record BadReading(long line, String column, String value, String message) {}

    static WeatherFile read(String text, LocalDate today) {
        Reading reading = new Reading(today);
        try (CsvRows rows = CsvRows.of(text)) {
            List<String> header = reading.header(rows.header());
            CsvRows.Line line = header == null ? null : rows.nextAsWritten();
            while (header != null && line != null) {
                reading.row(line, header);
                line = rows.nextAsWritten();
            }
        } catch (CsvRows.UnreadableException broken) {
            reading.wrong(broken.line(), "", "", String.valueOf(broken.getMessage()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new WeatherFile(reading.days, reading.bad, reading.badLines.size());
    }

    private static final class Reading {

        private final LocalDate today;
        private final List<WeatherDay> days = new ArrayList<>();
        private final List<BadReading> bad = new ArrayList<>();
        private final Set<Long> badLines = new HashSet<>();
        private final Map<LocalDate, Long> seen = new HashMap<>();

        Reading(LocalDate today) {
            this.today = today;
        }

        @Nullable
        List<String> header(List<String> written) {
            List<String> names =
                    written.stream().map(name -> name.toLowerCase(Locale.ROOT)).toList();
            NEEDED.stream()
                    .filter(name -> !names.contains(name))
                    .forEach(name -> wrong(1, name, "", Refusals.say("weather.file.column", "name", name)));
            for (int i = 0; i < names.size(); i++) {
                if (!KNOWN.contains(names.get(i))) {
                    wrong(1, names.get(i), names.get(i), Refusals.say("weather.file.unknown", "known", KNOWN));
                } else if (names.indexOf(names.get(i)) < i) {
                    wrong(1, names.get(i), names.get(i), Refusals.say("weather.file.columnTwice"));
                }
            }
            return bad.isEmpty() ? names : null;
        }

        void row(CsvRows.Line row, List<String> header) {
            long line = row.number();
            List<String> cells = row.cells();
            int before = bad.size() + badLines.size();
            if (cells.size() != header.size()) {
                wrong(line, "", cells.size() + " cells", Refusals.say("weather.file.cells", "header", header.size()));
                return;
            }
            LocalDate on = date(line, cell(cells, header, "date"));
            Double min =
                    number(line, "min_c", cell(cells, header, "min_c"), WeatherDay.LEAST_C, WeatherDay.MAX_C, true);
            Double max =
                    number(line, "max_c", cell(cells, header, "max_c"), WeatherDay.LEAST_C, WeatherDay.MAX_C, true);
            Double wind = number(line, "wind_ms", cell(cells, header, "wind_ms"), 0, WeatherDay.MAX_MS, false);
            Double rain = number(line, "rain_mm", cell(cells, header, "rain_mm"), 0, WeatherDay.MAX_MM, false);
            if (min != null && max != null && min > max) {
                wrong(line, "min_c", min.toString(), Refusals.say("weather.file.minAboveMax", "max", max));
            }
            if (on != null && min != null && max != null && bad.size() + badLines.size() == before) {
                days.add(new WeatherDay(on, min, max, wind, rain));
            }
        }

        private @Nullable LocalDate date(long line, String text) {
            LocalDate on;
            try {
                on = LocalDate.parse(text);
            } catch (DateTimeException notADate) {
                wrong(line, "date", text, Refusals.say("weather.file.date"));
                return null;
            }
            if (on.isAfter(today) || on.getYear() < 1900) {
                wrong(line, "date", text, Refusals.say("weather.file.span", "today", today));
                return null;
            }
            Long first = seen.putIfAbsent(on, line);
            if (first != null) {
                wrong(line, "date", text, Refusals.say("weather.file.dayTwice", "line", first));
                return null;
            }
            return on;
        }

        private @Nullable Double number(
                long line, String column, String text, double low, double high, boolean needed) {
            if (text.isEmpty()) {
                if (needed) {
                    wrong(line, column, "", Refusals.say("weather.file.missing"));
                }
                return null;
            }
            double value;
            try {
                value = Double.parseDouble(text);
            } catch (NumberFormatException notANumber) {
                value = Double.NaN;
            }
            if (text.indexOf(NOT_UTF_8) >= 0) {
                wrong(line, column, text, Refusals.say("weather.file.utf8"));
                return null;
            }
            // Double.parseDouble takes "NaN", "1d" and hexadecimals: none of them is a reading
            if (!text.matches("[-+]?[0-9]*\\.?[0-9]+")) {
                wrong(line, column, text, Refusals.say("weather.file.number"));
                return null;
            }
            if (!(value >= low && value <= high)) {
                wrong(line, column, text, Refusals.say("weather.file.range", "first", low, "last", high));
                return null;
            }
            return value;
        }

        void wrong(long line, String column, String value, String message) {
            badLines.add(line);
            if (bad.size() < MAX_BAD) {
                String shown = value.length() > MAX_SHOWN ? value.substring(0, MAX_SHOWN) + "…" : value;
                bad.add(new BadReading(line, column, shown, message));
            }
        }

        private static String cell(List<String> cells, List<String> header, String name) {
            int index = header.indexOf(name);
            return index < 0 ? "" : cells.get(index).strip();
        }
    }
}
