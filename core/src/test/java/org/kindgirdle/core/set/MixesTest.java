package org.kindgirdle.core.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.kindgirdle.core.units.OutOfRangeException;

class MixesTest {

    @Test
    void parts_become_litres_in_the_order_of_the_mix_and_what_swells_is_bought_dry() {
        MediumMix mix = new MediumMix(
                List.of(new MediumMix.Ingredient("coir", 3, 6), new MediumMix.Ingredient("sand", 1, 1)), List.of());
        assertThat(mix.amounts(12))
                .containsExactly(new MediumMix.Amount("coir", 9, 1.5), new MediumMix.Amount("sand", 3, 3));
        assertThat(MediumMix.of("moss").amounts(0)).containsExactly(new MediumMix.Amount("moss", 0, 0));
    }

    @Test
    void what_is_added_is_dosed_by_its_label() {
        MediumMix mix = new MediumMix(
                List.of(new MediumMix.Ingredient("moss", 1, 1)),
                List.of(
                        new MediumMix.Additive("root fungi", .2, MediumMix.DoseUnit.G),
                        new MediumMix.Additive("humic acid", 2, MediumMix.DoseUnit.ML)));
        assertThat(mix.doses(15)).containsExactly(Map.entry("root fungi", 3.0), Map.entry("humic acid", 30.0));
    }

    @Test
    void a_mix_needs_ingredients() {
        assertThatThrownBy(() -> new MediumMix(List.of(), List.of())).hasMessageContaining("at least one");
        assertThatThrownBy(() -> new MediumMix.Ingredient("moss", 0, 1)).hasMessageContaining("parts");
        assertThatThrownBy(() -> new MediumMix.Ingredient("moss", Double.NaN, 1))
                .hasMessageContaining("NaN");
        assertThatThrownBy(() -> new MediumMix.Ingredient("moss", 1, .5)).hasMessageContaining("swelling");
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
