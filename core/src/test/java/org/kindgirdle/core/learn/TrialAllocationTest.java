package org.kindgirdle.core.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.kindgirdle.core.units.OutOfRangeException;

class TrialAllocationTest {

    static LongStream seeds() {
        return LongStream.range(0, 200);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void arms_are_even_within_every_mother_and_in_all(long seed) {
        Random random = new Random(seed);
        int arms = 2 + random.nextInt(5);
        List<Long> blocks = new ArrayList<>();
        int mothers = 1 + random.nextInt(12);
        for (long mother = 1; mother <= mothers; mother++) {
            blocks.addAll(Collections.nCopies(1 + random.nextInt(9), mother));
        }
        while (blocks.size() < arms) {
            blocks.add(1L);
        }
        Collections.shuffle(blocks, random);
        List<Integer> dealt = TrialAllocation.of(blocks, arms, seed).arms();
        assertThat(dealt).hasSameSizeAs(blocks);
        spread(dealt, arms);
        for (long mother = 1; mother <= mothers; mother++) {
            List<Integer> on = new ArrayList<>();
            for (int i = 0; i < blocks.size(); i++) {
                if (blocks.get(i) == mother) {
                    on.add(dealt.get(i));
                }
            }
            spread(on, arms);
        }
    }

    private static void spread(List<Integer> dealt, int arms) {
        List<Integer> counts = new ArrayList<>(Collections.nCopies(arms, 0));
        dealt.forEach(arm -> counts.set(arm, counts.get(arm) + 1));
        assertThat(Collections.max(counts) - Collections.min(counts)).isLessThanOrEqualTo(1);
    }

    @Test
    void the_same_seed_deals_the_same_and_another_another() {
        List<Long> blocks = Collections.nCopies(24, 1L);
        assertThat(TrialAllocation.of(blocks, 2, 7)).isEqualTo(TrialAllocation.of(blocks, 2, 7));
        // kept by a record of years ago: the deal of a seed never changes
        assertThat(TrialAllocation.of(Collections.nCopies(8, 1L), 2, 7).arms().stream()
                        .map(String::valueOf)
                        .collect(Collectors.joining()))
                .isEqualTo("10001011");
        assertThat(TrialAllocation.of(blocks, 2, 8).arms())
                .isNotEqualTo(TrialAllocation.of(blocks, 2, 7).arms());
    }

    @Test
    void every_place_is_as_likely_to_get_one_arm_as_the_other() {
        List<Long> blocks = List.of(1L, 1L, 1L, 2L, 2L, 3L);
        double[] first = new double[blocks.size()];
        int deals = 4000;
        for (long seed = 0; seed < deals; seed++) {
            List<Integer> arms = TrialAllocation.of(blocks, 2, seed).arms();
            for (int i = 0; i < first.length; i++) {
                first[i] += arms.get(i) == 0 ? 1 : 0;
            }
        }
        // six standard deviations of a fair coin
        for (double count : first) {
            assertThat(count / deals).isCloseTo(.5, within(6 * .5 / Math.sqrt(deals)));
        }
    }

    @Test
    void one_arm_or_too_few_places_are_no_trial() {
        assertThatThrownBy(() -> TrialAllocation.of(List.of(1L, 1L), 1, 1)).isInstanceOf(OutOfRangeException.class);
        assertThatThrownBy(() -> TrialAllocation.of(List.of(1L), 2, 1))
                .isInstanceOf(OutOfRangeException.class)
                .hasMessageContaining("places");
    }
}
