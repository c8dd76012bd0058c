package org.kindgirdle.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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
}
