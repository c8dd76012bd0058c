package org.kindgirdle.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.kindgirdle.core.units.Dimension;
import org.kindgirdle.server.csv.CsvRows;
import org.kindgirdle.server.exchange.Mapping.ColumnSource;
import org.kindgirdle.server.exchange.Mapping.DateOrder;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The cells of CSV files, as they are written and as they are read. */
class CsvTest {

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final List<Column> COLUMNS = List.of(
            Column.of("note", Column.CellKind.TEXT),
            Column.of("other", Column.CellKind.TEXT),
            Column.of("share", Column.CellKind.NUMBER),
            Column.of("yes", Column.CellKind.YES_NO));

    @TempDir
    private Path folder;

    private Path file(String text) throws IOException {
        return Files.writeString(folder.resolve("a.csv"), text);
    }

    private static List<CsvRows.Line> lines(Path file) throws IOException {
        List<CsvRows.Line> lines = new ArrayList<>();
        try (CsvRows rows = CsvRows.of(file)) {
            for (CsvRows.Line line = rows.next(); line != null; line = rows.next()) {
                lines.add(line);
            }
        }
        return lines;
    }

    private record Fixed(List<List<@Nullable JsonNode>> rows) implements Table {

        @Override
        public String name() {
            return "fixed";
        }

        @Override
        public List<Column> columns() {
            return COLUMNS;
        }

        @Override
        public void write(Consumer<List<@Nullable JsonNode>> to) {
            rows.forEach(to);
        }

        @Override
        public Intake intake(Tally tally) {
            throw new UnsupportedOperationException();
        }
    }

    private static Translation plain(List<String> header) {
        return new Translation(
                new Mapping(
                        "fixed",
                        COLUMNS.stream()
                                .map(one -> new ColumnSource(one.name(), one.name(), null, null, null, Map.of()))
                                .toList(),
                        false),
                COLUMNS,
                header);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void whatever_is_typed_comes_back_as_it_went(long seed) throws IOException {
        Random random = new Random(seed);
        String signs = "ab=+-@'\"\t,;\n éß中 ";
        List<List<@Nullable JsonNode>> rows = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            StringBuilder text = new StringBuilder("x");
            for (int n = random.nextInt(12); n > 0; n--) {
                text.insert(0, signs.charAt(random.nextInt(signs.length())));
            }
            rows.add(Arrays.asList(
                    NODES.stringNode(text.toString()),
                    NODES.stringNode(text.reverse().toString()),
                    NODES.numberNode(random.nextGaussian() * Math.pow(10, random.nextInt(12) - 6)),
                    NODES.booleanNode(random.nextBoolean())));
        }
        StringWriter out = new StringWriter();
        CsvOut.write(new Fixed(rows), out);
        Path file = file(out.toString());
        List<CsvRows.Line> lines = lines(file);
        assertThat(lines).hasSameSizeAs(rows);
        Translation translation = plain(List.of("note", "other", "share", "yes"));
        for (int i = 0; i < rows.size(); i++) {
            ObjectNode row = translation.row(lines.get(i));
            for (int column = 0; column < COLUMNS.size(); column++) {
                assertThat(row.get(COLUMNS.get(column).name()))
                        .isEqualTo(rows.get(i).get(column));
            }
        }
        // no cell of text begins as a formula does
        assertThat(lines)
                .allSatisfy(line -> assertThat(line.cells().subList(0, 2))
                        .allSatisfy(
                                cell -> assertThat(cell).doesNotStartWith("=").doesNotStartWith("@")));
    }

    @ParameterizedTest
    @CsvSource({
        "DAY_MONTH_YEAR, 31.12.2025, 2025-12-31",
        "DAY_MONTH_YEAR, 3/4/25, 2025-04-03",
        "DAY_MONTH_YEAR, 03.04.1999 10:15, 1999-04-03",
        "MONTH_DAY_YEAR, 12/31/2025, 2025-12-31",
        "YEAR_MONTH_DAY, 2025-12-31T00:00:00, 2025-12-31"
    })
    void days_are_read_as_they_are_written(DateOrder order, String written, String day) {
        Column column = Column.of("on", Column.CellKind.DATE);
        Translation translation = new Translation(
                new Mapping("t", List.of(new ColumnSource("on", "x", null, null, order, Map.of())), false),
                List.of(column),
                List.of("x"));
        assertThat(translation
                        .row(new CsvRows.Line(2, List.of(written)))
                        .get("on")
                        .asString())
                .isEqualTo(day);
    }

    @ParameterizedTest
    @CsvSource({
        "in, 3/4, false, 19.05",
        "in, '0,75', true, 19.05",
        "cm, 2, false, 20",
        "cm, 18 mm, false, 18",
        ", 1 1/2 in, false, 38.1",
        ", 12.5, false, 12.5",
        "mm, '1.234,5', true, 1234.5"
    })
    void numbers_are_read_in_their_units(@Nullable String unit, String written, boolean comma, double mm) {
        Column column = new Column("width_mm", Column.CellKind.NUMBER, false, false, List.of(), Dimension.LENGTH, "");
        Translation translation = new Translation(
                new Mapping("t", List.of(new ColumnSource("width_mm", "x", null, unit, null, Map.of())), comma),
                List.of(column),
                List.of("x"));
        assertThat(translation
                        .row(new CsvRows.Line(2, List.of(written)))
                        .get("width_mm")
                        .doubleValue())
                .isEqualTo(mm);
    }
}
