package org.kindgirdle.server.csv;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rows of files as people and spreadsheets write them. */
class CsvRowsTest {

    @TempDir
    private Path folder;

    private Path file(String text, Charset charset) throws IOException {
        return Files.write(folder.resolve("a.csv"), text.getBytes(charset));
    }

    private static List<CsvRows.Line> lines(CsvRows rows) {
        List<CsvRows.Line> lines = new ArrayList<>();
        for (CsvRows.Line line = rows.next(); line != null; line = rows.next()) {
            lines.add(line);
        }
        return lines;
    }

    private static List<CsvRows.Line> lines(Path file) throws IOException {
        try (CsvRows rows = CsvRows.of(file)) {
            return lines(rows);
        }
    }

    @Test
    void lines_are_counted_as_an_editor_counts_them() throws IOException {
        assertThat(lines(file("a,b\n\n1,2\n3,\"4\n5\"\n , \n6,7", StandardCharsets.UTF_8)))
                .extracting(CsvRows.Line::number)
                .containsExactly(3L, 4L, 7L);
        assertThat(lines(file("a,b\r\n1,\"2\r\n2\"\r\n3,4\r\n", StandardCharsets.UTF_8)))
                .extracting(CsvRows.Line::number)
                .containsExactly(2L, 4L);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            a;b;c | 1;2,5;3 | 2,5
            a,b,c | 1,2.5,3 | 2.5
            "a;x",b,c | 1,2,3 | 2
            """)
    void what_stands_between_cells_is_told_from_the_header(String header, String row, String second)
            throws IOException {
        assertThat(lines(file(header + "\n" + row + "\n", StandardCharsets.UTF_8))
                        .get(0)
                        .cells()
                        .get(1))
                .isEqualTo(second);
    }

    @Test
    void letters_of_the_windows_code_page_and_a_mark_of_utf_8_are_read() throws IOException {
        assertThat(lines(file("a,b\nweiß,2\n", Charset.forName("windows-1252")))
                        .get(0)
                        .cells())
                .containsExactly("weiß", "2");
        Path marked = file("\uFEFFa,b\nweiß,2\n", StandardCharsets.UTF_8);
        try (CsvRows rows = CsvRows.of(marked)) {
            assertThat(rows.header()).containsExactly("a", "b");
        }
    }

    @Test
    void a_row_with_more_cells_than_the_header_is_told() throws IOException {
        Path file = file("a,b\n1,2\n1,2,3\n", StandardCharsets.UTF_8);
        assertThatThrownBy(() -> lines(file))
                .isInstanceOf(CsvRows.UnreadableException.class)
                .hasMessageContaining("Line 3 has 3 cells");
    }

    @Test
    void a_text_is_read_as_a_file_is_and_its_rows_also_as_they_were_written() throws IOException {
        String text = "a;b\n\n1;2\n3;4;5\n6";
        try (CsvRows rows = CsvRows.of(text)) {
            assertThat(rows.header()).containsExactly("a", "b");
            assertThat(rows.next()).isEqualTo(new CsvRows.Line(3, List.of("1", "2")));
            assertThat(rows.nextAsWritten()).isEqualTo(new CsvRows.Line(4, List.of("3", "4", "5")));
            assertThat(rows.next()).isEqualTo(new CsvRows.Line(5, List.of("6", "")));
            assertThat(rows.next()).isNull();
        }
    }

    @Test
    void where_a_quotation_mark_is_left_open_is_told_by_its_line() {
        assertThatThrownBy(() -> lines(CsvRows.of("a,b\n1,2\n3,\"4\n")))
                .isInstanceOfSatisfying(
                        CsvRows.UnreadableException.class,
                        broken -> assertThat(broken.line()).isEqualTo(3))
                .hasMessageContaining("quotation mark");
    }
}
