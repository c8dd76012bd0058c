package org.kindgirdle.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.core.units.MissingValueException;

class SectorsTest {

    @ParameterizedTest
    @CsvSource({
        "00000000, 0,    360",
        "11111111, 1,    0",
        "30000000, .125, 315",
        "00300000, .125, 315",
        "10101010, .5,   45",
        "11110000, .5,   180",
        // the run goes on across the mark
        "00111100, .5,   180",
        "01100001, .375, 180",
        "20002000, .25,  135"
    })
    void coverage_counts_sectors_and_the_gap_goes_round_the_stem(String densities, double coverage, int gapDeg) {
        Sectors sectors = sectors(densities);
        assertThat(sectors.coverage()).isEqualTo(coverage);
        assertThat(sectors.widestGapDeg()).isEqualTo(gapDeg);
    }

    @Test
    void before_any_root_all_is_gap() {
        assertThat(Sectors.empty()).isEqualTo(sectors("00000000"));
    }

    @Test
    void there_are_eight_from_none_to_dense() {
        assertThatThrownBy(() -> sectors("1111111"))
                .hasMessageContaining("7 sectors")
                .hasMessageContaining("8");
        assertThatThrownBy(() -> sectors("11111114"))
                .hasMessageContaining("4.0")
                .hasMessageContaining("3.0");
        assertThatThrownBy(() -> new Sectors(Arrays.asList(1, 1, 1, null, 1, 1, 1, 1)))
                .isInstanceOf(MissingValueException.class);
    }

    private static Sectors sectors(String densities) {
        List<Integer> all = densities.chars().mapToObj(one -> one - '0').toList();
        return new Sectors(all);
    }
}
