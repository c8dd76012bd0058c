package org.kindgirdle.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class QuantityTest {

    @ParameterizedTest
    @CsvSource(textBlock = """
            LENGTH, 3/4 in, 19.05
            LENGTH, 1 1/2 in, 38.1
            LENGTH, 3/4", 19.05
            LENGTH, 20mm, 20
            LENGTH, 1.9 cm, 19
            LENGTH, 2 ft, 609.6
            LENGTH, .5 in, 12.7
            VOLUME, 1.5 qt, 1419.529419
            VOLUME, 8 fl oz, 236.5882365
            VOLUME, 2 L, 2000
            MASS, 10 oz, 283.49523125
            TEMPERATURE, 68F, 20
            TEMPERATURE, -4 °F, -20
            TEMPERATURE, 18.5 C, 18.5
            TEMPERATURE_DIFFERENCE, 9 F, 5
            TEMPERATURE_DIFFERENCE, -2.5 C, -2.5
            CONCENTRATION, 0.8 %, 8000
            CONCENTRATION, 0.3%, 3000
            CONCENTRATION, 1500 ppm, 1500
            """)
    void reads_what_growers_type_exactly(Dimension dimension, String typed, String si) {
        assertThat(Quantity.parse(dimension, typed).si()).isEqualByComparingTo(new BigDecimal(si));
    }

    @ParameterizedTest
    @CsvSource(textBlock = """
            20, has no unit
            NaN mm, is not a number
            three in, is not a number
            3/0 in, divides by nothing
            3 4 in, is not a number
            20 qt, has the unknown unit 'qt'
            1e3 mm, is not a number
            """)
    void says_what_is_wrong_and_what_to_type(String typed, String wrong) {
        assertThatThrownBy(() -> Quantity.parse(Dimension.LENGTH, typed))
                .isInstanceOf(QuantityFormatException.class)
                .hasMessageContaining("'" + typed + "'")
                .hasMessageContaining(wrong)
                .extracting(thrown -> ((QuantityFormatException) thrown).whatToDo())
                .asString()
                .contains("mm, cm, m, in, ft", "3/4 in");
    }

    @ParameterizedTest
    @EnumSource(Unit.class)
    void what_is_printed_is_read_back_as_the_same(Unit unit) {
        Random seeded = new Random(19);
        for (int i = 0; i < 500; i++) {
            BigDecimal number = BigDecimal.valueOf(seeded.nextInt(2_000_000) - 500_000, seeded.nextInt(5));
            Quantity typed = Quantity.parse(unit.dimension(), number.toPlainString() + " " + unit.symbol());
            String printed = typed.format(unit);
            assertThat(Quantity.parse(unit.dimension(), printed)).as(printed).isEqualTo(typed);
            assertThat(new BigDecimal(printed.split(" ")[0])).isEqualByComparingTo(number);
        }
    }

    @Test
    void nothing_is_printed_in_a_unit_of_something_else() {
        Quantity length = Quantity.parse(Dimension.LENGTH, "3/4 in");
        assertThat(length.format(Unit.INCH)).isEqualTo("0.75 in");
        assertThat(length.format(Unit.MILLIMETRE)).isEqualTo("19.05 mm");
        assertThatThrownBy(() -> length.format(Unit.QUART)).hasMessageContaining("VOLUME");
    }

    @Test
    void an_empty_field_is_said_to_be_empty() {
        assertThatThrownBy(() -> Quantity.parse(Dimension.MASS, "  ")).hasMessageContaining("is empty");
    }
}
