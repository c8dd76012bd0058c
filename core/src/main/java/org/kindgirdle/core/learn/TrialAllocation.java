package org.kindgirdle.core.learn;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * Which arm of a trial each place gets: a randomised block design (Fisher 1935, The Design of Experiments, ch. IV). The
 * places are listed first; within each block, that is each mother, the arms are dealt as evenly as they go and shuffled,
 * so that no arm gets the better mothers. The same list and seed give the same deal.
 *
 * @param seed that it was shuffled with
 * @param arms of each place, from 0, in the order of the list
 */
public record TrialAllocation(long seed, List<Integer> arms) {

    private static final int MAX_ARMS = 6;

    public TrialAllocation {
        arms = List.copyOf(arms);
    }

    /**
     * @param blocks the block of each place, in the order of the list; at least as many places as arms
     * @param arms 2 to 6
     * @throws OutOfRangeException if arms is outside 2 to 6 or places is below arms or not a number
     */
    public static TrialAllocation of(List<Long> blocks, int arms, long seed) {
        Require.within("arms", arms, 2, MAX_ARMS);
        Require.within("places", blocks.size(), arms, Integer.MAX_VALUE);
        // its sequence is part of the specification of the class, so that a deal can be made again in years
        Random random = new Random(mixed(seed));
        Map<Long, List<Integer>> places = new LinkedHashMap<>();
        for (int place = 0; place < blocks.size(); place++) {
            places.computeIfAbsent(blocks.get(place), block -> new ArrayList<>())
                    .add(place);
        }
        int[] dealt = new int[arms];
        Integer[] all = new Integer[blocks.size()];
        for (List<Integer> block : places.values()) {
            List<Integer> hand = new ArrayList<>();
            while (hand.size() + arms <= block.size()) {
                IntStream.range(0, arms).forEach(hand::add);
            }
            // what is left over goes to the arms that have the fewest so far, chance deciding between equals
            List<Integer> order =
                    new ArrayList<>(IntStream.range(0, arms).boxed().toList());
            Collections.shuffle(order, random);
            order.stream()
                    .sorted((a, b) -> Integer.compare(dealt[a], dealt[b]))
                    .limit(block.size() - hand.size())
                    .forEach(hand::add);
            Collections.shuffle(hand, random);
            for (int i = 0; i < hand.size(); i++) {
                all[block.get(i)] = hand.get(i);
                dealt[hand.get(i)]++;
            }
        }
        return new TrialAllocation(seed, List.of(all));
    }

    /**
     * Neighbouring seeds begin with nearly the same numbers: they are spread over all the bits first (Steele, Lea and
     * Flood 2014, Fast splittable pseudorandom number generators, OOPSLA, with Stafford's variant 13 of the mixer).
     */
    private static long mixed(long seed) {
        long z = seed + 0x9E3779B97F4A7C15L;
        z = (z ^ (z >>> 30)) * 0xBF58476D1CE4E5B9L;
        z = (z ^ (z >>> 27)) * 0x94D049BB133111EBL;
        return z ^ (z >>> 31);
    }
}
