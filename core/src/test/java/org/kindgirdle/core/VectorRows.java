package org.kindgirdle.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/** Rows of a file of reference values, from the test resources or from the folder given by {@code -Dvectors=DIR}. */
final class VectorRows {

    private static final double RELATIVE = 1e-6;

    /** Below this a reference value counts as zero: nine significant figures of nothing. */
    private static final double NOTHING = 1e-12;

    private VectorRows() {}

    static Stream<Row> of(String name) {
        List<String> lines = read(name + ".csv").lines().toList();
        List<String> header = List.of(lines.get(0).split(",", -1));
        List<Row> rows = new ArrayList<>();
        for (int i = 1; i < lines.size(); i++) {
            rows.add(new Row(name + ":" + (i + 1), header, List.of(lines.get(i).split(",", -1))));
        }
        assertThat(rows).as(name).isNotEmpty();
        return rows.stream();
    }

    private static String read(String file) {
        String folder = System.getProperty("vectors", "");
        try {
            if (!folder.isBlank()) {
                return Files.readString(Path.of(folder, file));
            }
            try (InputStream in = VectorRows.class.getResourceAsStream("/vectors/" + file)) {
                return new String(Objects.requireNonNull(in, file).readAllBytes(), StandardCharsets.UTF_8);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    record Row(String where, List<String> header, List<String> cells) {

        String text(String column) {
            int index = header.indexOf(column);
            assertThat(index).as("column " + column + " of " + where).isNotNegative();
            return cells.get(index);
        }

        double number(String column) {
            return Double.parseDouble(text(column));
        }

        int integer(String column) {
            return Integer.parseInt(text(column));
        }

        boolean is(String column) {
            String text = text(column);
            assertThat(text).as(where).isIn("true", "false");
            return text.equals("true");
        }

        <E extends Enum<E>> E code(Class<E> type, String column) {
            return Enum.valueOf(type, text(column));
        }

        void agrees(String column, double computed) {
            agrees(column, computed, RELATIVE);
        }

        void agrees(String column, double computed, double relative) {
            double wanted = text(column).equals("inf") ? Double.POSITIVE_INFINITY : number(column);
            if (Double.isInfinite(wanted)) {
                assertThat(computed).as(where + " " + column).isEqualTo(wanted);
                return;
            }
            assertThat(Math.abs(computed - wanted))
                    .as(where + " " + column + ": computed " + computed + ", wanted " + wanted)
                    .isLessThanOrEqualTo(relative * Math.abs(wanted) + NOTHING);
        }

        @Override
        public String toString() {
            return where;
        }
    }
}
