package org.kindgirdle.core.pot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.kindgirdle.core.ProfileBuilder;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.pot.FirstMediumAdvice.Remark;
import org.kindgirdle.core.pot.FirstMediumAdvice.Remark.RemarkKind;
import org.kindgirdle.core.verdict.Level;

class FirstMediumAdviceTest {

    @Test
    void a_light_mix_needs_no_word() {
        FirstMediumAdvice advice = of(FirstMedium.LIGHT_MIX, 100, true);
        assertThat(advice.remarks()).isEmpty();
        assertThat(advice.level()).isEqualTo(Level.FINE);
    }

    @ParameterizedTest
    @EnumSource(
            value = FirstMedium.class,
            names = {"GARDEN_SOIL", "HEAVY_COMPOST", "PEAT_AND_BARK"})
    void what_has_killed_well_rooted_layers_is_warned_of(FirstMedium heavy) {
        assertThat(heavy.isHeavy()).isTrue();
        assertThat(of(heavy, null, true).remarks()).containsExactly(new Remark(RemarkKind.HEAVY, Level.WARN, 0, 0));
    }

    @Test
    void moss_stands_in_a_little_water_and_is_left_within_months() {
        assertThat(of(FirstMedium.MOSS_STAGE, 10, false).remarks())
                .containsExactly(
                        new Remark(RemarkKind.STAND_IN_WATER, Level.CAUTION, 12, 25),
                        new Remark(RemarkKind.MOVE_ON_WITHIN, Level.CAUTION, 90, 120));
    }

    @Test
    void the_ground_wants_six_weeks_before_frost() {
        assertThat(of(FirstMedium.GROUND, 41, true).level()).isEqualTo(Level.BLOCK);
        assertThat(of(FirstMedium.GROUND, 41, true).remarks())
                .contains(new Remark(RemarkKind.TOO_LATE_FOR_GROUND, Level.BLOCK, 41, 42));
        assertThat(of(FirstMedium.GROUND, 42, true).remarks())
                .extracting(Remark::kind)
                .containsExactly(RemarkKind.BURY_NODES, RemarkKind.WATER_IN_AND_MULCH, RemarkKind.COVER_FOR_WINTER);
        assertThat(of(FirstMedium.GROUND, null, false).remarks())
                .extracting(Remark::kind)
                .containsExactly(RemarkKind.WATER_IN_AND_MULCH);
        assertThatThrownBy(() -> of(FirstMedium.GROUND, -1, false)).hasMessageContaining("-1");
    }

    @Test
    void what_dies_in_the_winter_out_there_is_not_planted_out_without_a_word() {
        SpeciesProfile tender = ProfileBuilder.quince().hardyTo(-9).build();
        assertThat(FirstMediumAdvice.of(HouseRules.SHIPPED, FirstMedium.GROUND, 90, tender, -11)
                        .remarks())
                .contains(new Remark(RemarkKind.DIES_IN_WINTER, Level.WARN, -11, -9));
        SpeciesProfile hardy = ProfileBuilder.quince().hardyTo(-25).build();
        assertThat(FirstMediumAdvice.of(HouseRules.SHIPPED, FirstMedium.GROUND, 90, hardy, -16)
                        .remarks())
                .as("the roots in the ground bear -15 C")
                .contains(new Remark(RemarkKind.DIES_IN_WINTER, Level.WARN, -16, -15));
    }

    private static FirstMediumAdvice of(FirstMedium medium, @Nullable Integer daysToFrost, boolean buryNodesOk) {
        return FirstMediumAdvice.of(
                HouseRules.SHIPPED,
                medium,
                daysToFrost,
                ProfileBuilder.quince().buryNodes(buryNodesOk).build(),
                -5);
    }
}
