package org.kindgirdle.core.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.units.OutOfRangeException;

class HouseRulesTest {

    static Stream<Rule> rules() {
        return Rule.all().stream();
    }

    @ParameterizedTest
    @MethodSource("rules")
    void every_rule_says_what_it_is_why_and_how_far_it_may_go(Rule rule) {
        assertThat(rule.code()).matches("[a-z-]+(\\.[A-Za-z_-]+)+");
        assertThat(rule.name()).isNotBlank();
        assertThat(rule.reason()).isNotBlank().endsWith(".");
        assertThat(rule.low()).isLessThan(rule.high());
        assertThat(HouseRules.SHIPPED.of(rule)).isEqualTo(rule.shipped()).isBetween(rule.low(), rule.high());
        assertThat(Rule.of(rule.code())).isSameAs(rule);
        for (double bad : new double[] {
            Double.NaN,
            Double.POSITIVE_INFINITY,
            Double.NEGATIVE_INFINITY,
            Math.nextDown(rule.low()),
            Math.nextUp(rule.high())
        }) {
            assertThatThrownBy(() -> HouseRules.of(Map.of(rule.code(), bad)))
                    .isInstanceOf(OutOfRangeException.class)
                    .hasMessageContaining(rule.code())
                    .hasMessageContaining(String.valueOf(rule.low()))
                    .hasMessageContaining(String.valueOf(rule.high()));
        }
    }

    @Test
    void codes_are_used_once() {
        List<String> codes = rules().map(Rule::code).toList();
        assertThat(codes).doesNotHaveDuplicates();
        assertThat(HouseRules.SHIPPED.values().keySet()).containsExactlyElementsOf(codes);
    }

    @Test
    void a_changed_figure_is_what_the_sums_take() {
        HouseRules wide = HouseRules.SHIPPED.with("ring.per-diameter", 2);
        assertThat(RingAndBall.of(HouseRules.SHIPPED, 20, false, false).ringMm())
                .isEqualTo(30);
        assertThat(RingAndBall.of(wide, 20, false, false).ringMm()).isEqualTo(40);
        assertThat(wide).isNotEqualTo(HouseRules.SHIPPED).hasToString("house rules [ring.per-diameter=2.0]");
        assertThat(wide.with("ring.per-diameter", 1.5))
                .isEqualTo(HouseRules.SHIPPED)
                .hasSameHashCodeAs(HouseRules.SHIPPED);
        assertThat(HouseRules.of(wide.values())).isEqualTo(wide);
    }

    @Test
    void what_is_counted_is_whole() {
        assertThatThrownBy(() -> HouseRules.SHIPPED.with("next.establish", 41.5))
                .hasMessage("next.establish is 41.5; it must be a whole number of days");
        assertThat(HouseRules.SHIPPED.with("next.establish", 41).count(Rule.of("next.establish")))
                .isEqualTo(41);
    }

    @Test
    void an_unknown_rule_is_refused_by_its_name() {
        assertThatThrownBy(() -> HouseRules.SHIPPED.with("next.luck", 1)).hasMessageContaining("'next.luck'");
    }

    @ParameterizedTest
    @ValueSource(strings = {"ring.least:60.5", "window.risky:.81", "hormone-band.EASY.SOFT.low:1001", "tray.least:121"})
    void figures_that_belong_together_keep_their_order(String change) {
        String[] parts = change.split(":");
        assertThatThrownBy(() -> HouseRules.SHIPPED.with(parts[0], Double.parseDouble(parts[1])))
                .hasMessageContaining(parts[0])
                .hasMessageContaining("must not be above");
    }
}
