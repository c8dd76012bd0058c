package org.kindgirdle.server.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.server.units.Measures.Measure;

class MeasuresTest {

    /** Boiling water, a yard, a pint, an acre's side and the like, as any table of units has them. */
    @ParameterizedTest
    @CsvSource(textBlock = """
            METRIC, length,           25.4,     25.4, mm
            US,     length,           914.4,    36,   in
            METRIC, span,             12000,    12,   m
            US,     span,             914.4,    3,    ft
            US,     volume,           473.176473, 16, fl oz
            METRIC, bulk,             3500,     3.5,  L
            US,     bulk,             7570.823568, 2, gal
            METRIC, temperature,      -4,       -4,   C
            US,     temperature,      100,      212,  F
            US,     temperature,      -40,      -40,  F
            US,     temperatureShift, 5,        9,    F
            US,     mass,             453.59237, 16,  oz
            US,     concentration,    3000,     3000, ppm
            """)
    void a_kept_value_is_shown_as_its_reader_knows_it(Units system, String of, double kept, double shown, String unit) {
        Measures measures = Measures.of(system);
        Measure measure = switch (of) {
            case "length" -> measures.length();
            case "span" -> measures.span();
            case "volume" -> measures.volume();
            case "bulk" -> measures.bulk();
            case "temperature" -> measures.temperature();
            case "temperatureShift" -> measures.temperatureShift();
            case "mass" -> measures.mass();
            default -> measures.concentration();
        };
        assertThat(measure.unit()).isEqualTo(unit);
        assertThat(kept / measure.si() + measure.offset()).isCloseTo(shown, within(1e-9));
    }
}
