package org.kindgirdle.core.plan;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToIntBiFunction;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.set.Vigour;
import org.kindgirdle.core.set.Wood;

/**
 * How well a limb suits, line by line, against the ideal of the trade: one or two years old, from pencil to thumb thick,
 * upright, in vigour, with leaves beyond the ring, and to be pruned anyway. Each line gives 0, 1 or 2.
 *
 * @param limb that was scored
 * @param lines one a criterion, in the order of the enum
 */
public record LimbScore(Limb limb, List<Line> lines) {

    private static final Rule LEAVES_WANTED = Rule.of("limb.leaves");
    private static final Rule LEAVES_LEAST = Rule.of("limb.leaves-least");
    private static final Rule IDEAL_THIN_MM = Rule.of("limb.ideal-thin");
    private static final Rule IDEAL_THICK_MM = Rule.of("limb.ideal-thick");
    private static final Rule USABLE_THIN_MM = Rule.of("limb.usable-thin");
    private static final Rule USABLE_THICK_MM = Rule.of("limb.usable-thick");
    private static final Rule UPRIGHT_DEG = Rule.of("limb.upright");
    private static final Rule LEANING_DEG = Rule.of("limb.leaning");

    /** The best first; of equals the one with more leaves, then the nearer to the middle of the ideal thickness. */
    public static Comparator<LimbScore> bestFirst(HouseRules rules) {
        double idealMm = (rules.of(IDEAL_THIN_MM) + rules.of(IDEAL_THICK_MM)) / 2;
        return Comparator.comparingInt(LimbScore::points)
                .reversed()
                .thenComparing(score -> -score.limb().leavesBeyond())
                .thenComparing(score -> Math.abs(score.limb().diameterMm() - idealMm));
    }

    public LimbScore {
        lines = List.copyOf(lines);
    }

    /** What is looked at. */
    public enum Criterion {
        WOOD((rules, limb) -> limb.wood() == Wood.ONE_TWO ? 2 : limb.wood() == Wood.OLDER ? 0 : 1),
        THICKNESS((rules, limb) -> within(rules, limb.diameterMm(), IDEAL_THIN_MM, IDEAL_THICK_MM)
                ? 2
                : within(rules, limb.diameterMm(), USABLE_THIN_MM, USABLE_THICK_MM) ? 1 : 0),
        LEAN((rules, limb) ->
                limb.leanDeg() <= rules.of(UPRIGHT_DEG) ? 2 : limb.leanDeg() <= rules.of(LEANING_DEG) ? 1 : 0),
        VIGOUR((rules, limb) -> limb.vigour() == Vigour.STRONG ? 2 : limb.vigour() == Vigour.NORMAL ? 1 : 0),
        LEAVES((rules, limb) ->
                hasLeavesWanted(rules, limb) ? 2 : limb.leavesBeyond() >= rules.count(LEAVES_LEAST) ? 1 : 0),
        PRUNING((rules, limb) -> limb.toBePruned() ? 2 : 1);

        private final ToIntBiFunction<HouseRules, Limb> points;

        Criterion(ToIntBiFunction<HouseRules, Limb> points) {
            this.points = points;
        }

        private static boolean within(HouseRules rules, double value, Rule low, Rule high) {
            return value >= rules.of(low) && value <= rules.of(high);
        }
    }

    /** @param points 2 as it should be, 1 it will do, 0 against it */
    public record Line(Criterion criterion, int points) {}

    /** The score of a limb, by the figures of the house. */
    public static LimbScore of(HouseRules rules, Limb limb) {
        return new LimbScore(
                limb,
                Arrays.stream(Criterion.values())
                        .map(one -> new Line(one, one.points.applyAsInt(rules, limb)))
                        .toList());
    }

    /** Leaves or buds that a layer should have beyond its ring. */
    public static int leavesWanted(HouseRules rules) {
        return rules.count(LEAVES_WANTED);
    }

    /** Whether a limb has the leaves or buds beyond the ring that a layer should have. */
    static boolean hasLeavesWanted(HouseRules rules, Limb limb) {
        return limb.leavesBeyond() >= leavesWanted(rules);
    }

    /** All lines together, 0 to twice their number. */
    public int points() {
        return lines.stream().mapToInt(Line::points).sum();
    }

    /** Whether nothing speaks against it. */
    public boolean isSuitable() {
        return lines.stream().allMatch(line -> line.points() > 0);
    }
}
