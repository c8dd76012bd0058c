package org.kindgirdle.server.climate;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WeatherFileTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 7, 10);

    @Test
    void days_are_read_in_whatever_order_the_columns_stand() {
        WeatherFile file = read("rain_mm,Date,max_c,min_c\n1.5,2026-07-01,19.4,11\n,2026-07-02,18,-3.5\n");
        assertThat(file.bad()).isEmpty();
        assertThat(file.days())
                .containsExactly(
                        new WeatherDay(LocalDate.of(2026, 7, 1), 11, 19.4, null, 1.5),
                        new WeatherDay(LocalDate.of(2026, 7, 2), -3.5, 18, null, null));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "10/07/2026,11,19 | date | 10/07/2026 | no date",
                "2026-02-30,11,19 | date | 2026-02-30 | no date",
                "2026-07-11,11,19 | date | 2026-07-11 | to today",
                "1899-07-11,11,19 | date | 1899-07-11 | 1900",
                "2026-07-01,,19   | min_c | '' | missing",
                "2026-07-01,cold,19 | min_c | cold | no number",
                "2026-07-01,NaN,19 | min_c | NaN | no number",
                "2026-07-01,1e1,19 | min_c | 1e1 | no number",
                "2026-07-01,=1+1,19 | min_c | =1+1 | no number",
                "2026-07-01,11,99 | max_c | 99 | from -70.0 to 60.0",
                "2026-07-01,21,19 | min_c | 21.0 | above the maximum, 19.0",
                "2026-07-01,11 | '' | 2 cells | 3 cells",
                "2026-07-01,11,19,4 | '' | 4 cells | 3 cells"
            })
    void a_bad_row_is_named_by_line_and_column(String row, String column, String value, String message) {
        WeatherFile file = read("date,min_c,max_c\n2026-06-30,10,20\n" + row.strip() + "\n");
        assertThat(file.badRows()).isEqualTo(1);
        assertThat(file.days()).hasSize(1);
        assertThat(file.bad()).singleElement().satisfies(bad -> {
            assertThat(bad.line()).isEqualTo(3);
            assertThat(bad.column()).isEqualTo(column.strip());
            assertThat(bad.value()).isEqualTo(value.strip());
            assertThat(bad.message()).contains(message.strip());
        });
    }

    @Test
    void a_day_that_stands_there_twice_is_named_with_both_lines() {
        WeatherFile file = read("date,min_c,max_c\n2026-06-30,10,20\n2026-06-29,9,19\n2026-06-30,11,21\n");
        assertThat(file.bad()).singleElement().satisfies(bad -> {
            assertThat(bad.line()).isEqualTo(4);
            assertThat(bad.message()).contains("line 2");
        });
    }

    @Test
    void lines_are_counted_as_an_editor_counts_them() {
        WeatherFile file = read("date,min_c,max_c\r\n\r\n2026-06-30,x,20\r\n2026-06-29,9,y");
        assertThat(file.bad()).extracting(WeatherFile.BadReading::line).containsExactly(3L, 4L);
    }

    @Test
    void everything_wrong_in_a_row_is_found_at_once() {
        WeatherFile file = read("date,min_c,max_c,wind_ms,rain_mm\nyesterday,x,y,-1,9999\n");
        assertThat(file.badRows()).isEqualTo(1);
        assertThat(file.bad())
                .extracting(WeatherFile.BadReading::column)
                .containsExactly("date", "min_c", "max_c", "wind_ms", "rain_mm");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "date,min_c | max_c is missing",
                "date,min_c,max_c,snow_cm | no such column",
                "date,min_c,max_c,max_c | twice",
                "2026-07-01,11,19 | date is missing"
            })
    void a_header_that_is_not_understood_is_all_that_is_said(String header, String message) {
        WeatherFile file = read(header.strip() + "\n2026-07-01,11,19\n");
        assertThat(file.days()).isEmpty();
        assertThat(file.bad()).anySatisfy(bad -> assertThat(bad.message()).contains(message.strip()));
        assertThat(file.bad()).allSatisfy(bad -> assertThat(bad.line()).isEqualTo(1));
    }

    @Test
    void what_is_no_such_file_at_all_is_refused_in_one_sentence() {
        String wide = IntStream.range(0, 1000).mapToObj(i -> "c" + i).collect(Collectors.joining(","));
        assertThat(read(wide + "\n").bad())
                .singleElement()
                .satisfies(bad -> assertThat(bad.message()).contains("1000 columns"));
        assertThat(read("").bad())
                .singleElement()
                .satisfies(bad -> assertThat(bad.message()).contains("empty"));
        assertThat(read("date,min_c,max_c\n2026-07-01,\"11,19\n").bad())
                .anySatisfy(bad -> assertThat(bad.message()).contains("quotation mark"));
        assertThat(read("date,min_c,max_c\n2026-07-01,1\uFFFD,19\n").bad())
                .singleElement()
                .satisfies(bad -> assertThat(bad.message()).contains("UTF-8"));
        assertThat(read("\uFEFFdate,min_c,max_c\n2026-07-01,1,19\n").days()).hasSize(1);
    }

    private static WeatherFile read(String csv) {
        return WeatherFile.read(csv, TODAY);
    }
}
