package org.kindgirdle.core.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.kindgirdle.core.units.OutOfRangeException;

class MixesTest {

    @Test
    void parts_become_litres_in_the_order_of_the_mix() {
        Map<String, Double> parts = new LinkedHashMap<>();
        parts.put("manure", 3.0);
        parts.put("earth", 1.0);
        Map<String, Double> litres = new MediumMix(parts).litres(12);
        assertThat(litres).containsExactly(Map.entry("manure", 9.0), Map.entry("earth", 3.0));
        parts.put("earth", 9.0);
        assertThat(new MediumMix(Map.of("moss", 2.0)).litres(0)).containsEntry("moss", 0.0);
    }

    @Test
    void what_swells_is_bought_dry_and_what_is_added_is_dosed_by_its_label() {
        assertThat(MediumMix.dryLitres(12, 4)).isEqualTo(3);
        assertThat(MediumMix.dose(15, .2)).isCloseTo(3, within(1e-12));
        assertThatThrownBy(() -> MediumMix.dryLitres(12, .5)).hasMessageContaining("swelling");
    }

    @Test
    void a_mix_needs_ingredients() {
        assertThatThrownBy(() -> new MediumMix(Map.of())).hasMessageContaining("at least one");
        assertThatThrownBy(() -> new MediumMix(Map.of("moss", 0.0))).hasMessageContaining("parts of moss");
        assertThatThrownBy(() -> new MediumMix(Map.of("moss", Double.NaN))).hasMessageContaining("NaN");
    }

    @Test
    void thinning_keeps_the_substance() {
        HormoneMix.Dilution mix = HormoneMix.dilute(8000, 3000, 250);
        assertThat(mix.stockMl() * 8000).isCloseTo(3000 * 250, within(1e-6));
        assertThat(mix.stockMl() + mix.diluentMl()).isCloseTo(250, within(1e-12));
        assertThat(HormoneMix.ppm(.8)).isEqualTo(8000);
    }

    @Test
    void nothing_is_made_stronger_by_thinning() {
        assertThatThrownBy(() -> HormoneMix.dilute(1000, 3000, 250))
                .isInstanceOf(OutOfRangeException.class)
                .hasMessageContaining("targetPpm")
                .hasMessageContaining("1000");
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, -1, Double.POSITIVE_INFINITY})
    void figures_that_cannot_be_are_refused(double bad) {
        assertThatThrownBy(() -> HormoneMix.dilute(bad, 1, 1)).isInstanceOf(OutOfRangeException.class);
        assertThatThrownBy(() -> HormoneMix.dilute(1000, bad, 1)).isInstanceOf(OutOfRangeException.class);
        assertThatThrownBy(() -> HormoneMix.dilute(1000, 10, bad)).isInstanceOf(OutOfRangeException.class);
        assertThatThrownBy(() -> HormoneMix.solidMg(bad, 10, 1)).isInstanceOf(OutOfRangeException.class);
        assertThatThrownBy(() -> HormoneMix.solidMg(1000, 10, bad)).isInstanceOf(OutOfRangeException.class);
        assertThatThrownBy(() -> HormoneMix.ppm(bad)).isInstanceOf(OutOfRangeException.class);
    }
}
