package org.kindgirdle.core.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashSet;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class LayerCodeTest {

    @Test
    void every_layer_has_its_own_code_and_reads_back() {
        Set<String> codes = new HashSet<>();
        for (int number = 0; number < 50_000; number++) {
            String code = LayerCode.of(number);
            assertThat(codes.add(code)).as(code).isTrue();
            assertThat(LayerCode.parse(code.toLowerCase().replace("-", ""))).contains(code);
            assertThat(LayerCode.number(code)).isEqualTo(number);
        }
    }

    @Test
    void a_wrong_sign_or_two_swapped_ones_are_caught() {
        Random random = new Random(20260710);
        String signs = "234579ACDEFHJKMNPRTWXY6";
        for (int i = 0; i < 2000; i++) {
            String plain = LayerCode.of(random.nextInt(LayerCode.CAPACITY)).replace("-", "");
            int at = random.nextInt(5);
            char wrong = signs.charAt(random.nextInt(23));
            if (wrong != plain.charAt(at)) {
                assertThat(LayerCode.parse(plain.substring(0, at) + wrong + plain.substring(at + 1)))
                        .as(plain + " with " + wrong + " at " + at)
                        .isEmpty();
            }
            int first = random.nextInt(4);
            if (plain.charAt(first) != plain.charAt(first + 1)) {
                String swapped = plain.substring(0, first)
                        + plain.charAt(first + 1)
                        + plain.charAt(first)
                        + plain.substring(first + 2);
                assertThat(LayerCode.parse(swapped))
                        .as(plain + " as " + swapped)
                        .isEmpty();
            }
        }
    }

    @Test
    void what_codes_begin_with_is_known_from_what_is_not() {
        String code = LayerCode.of(4711);
        for (int typed = 1; typed <= 6; typed++) {
            String begins =
                    LayerCode.beginning(code.toLowerCase().substring(0, typed)).orElseThrow();
            assertThat(code).startsWith(begins);
        }
        String plain = code.replace("-", "");
        assertThat(LayerCode.beginning(plain)).contains(code);
        assertThat(LayerCode.beginning(plain.substring(0, 4))).contains(code.substring(0, 5));
        assertThat(LayerCode.beginning("")).isEmpty();
        assertThat(LayerCode.beginning("quince")).as("no sign of a code").isEmpty();
        assertThat(LayerCode.beginning("acdefh")).as("longer than any").isEmpty();
        assertThat(LayerCode.beginning("7%")).isEmpty();
    }

    @Test
    void other_signs_are_no_code() {
        assertThat(LayerCode.parse("0OI-1L")).isEmpty();
        assertThat(LayerCode.parse("")).isEmpty();
        assertThat(LayerCode.number(LayerCode.of(LayerCode.CAPACITY - 1))).isEqualTo(LayerCode.CAPACITY - 1);
        assertThatThrownBy(() -> LayerCode.number("7km-4x"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("7km-4x");
    }
}
