package org.kindgirdle.core.plan;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToIntFunction;
import org.kindgirdle.core.set.RingAndBall;
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

    /** Leaves or buds that a layer should have beyond its ring. */
    public static final int LEAVES_WANTED = 4;

    /** The best first; of equals the one with more leaves, then the nearer to the middle of the ideal thickness. */
    public static final Comparator<LimbScore> BEST_FIRST = Comparator.comparingInt(LimbScore::points)
            .reversed()
            .thenComparing(score -> -score.limb().leavesBeyond())
            .thenComparing(score -> Math.abs(score.limb().diameterMm() - Criterion.IDEAL_MM));

    public LimbScore {
        lines = List.copyOf(lines);
    }

    /** What is looked at. */
    public enum Criterion {
        WOOD(limb -> limb.wood() == Wood.ONE_TWO ? 2 : limb.wood() == Wood.OLDER ? 0 : 1),
        THICKNESS(limb ->
                within(limb.diameterMm(), RingAndBall.THIN_MM, 20) ? 2 : within(limb.diameterMm(), 4, 35) ? 1 : 0),
        LEAN(limb -> limb.leanDeg() <= 30 ? 2 : limb.leanDeg() <= 60 ? 1 : 0),
        VIGOUR(limb -> limb.vigour() == Vigour.STRONG ? 2 : limb.vigour() == Vigour.NORMAL ? 1 : 0),
        LEAVES(limb -> limb.leavesBeyond() >= LEAVES_WANTED ? 2 : limb.leavesBeyond() >= 2 ? 1 : 0),
        PRUNING(limb -> limb.toBePruned() ? 2 : 1);

        private static final double IDEAL_MM = 13;

        private final ToIntFunction<Limb> points;

        Criterion(ToIntFunction<Limb> points) {
            this.points = points;
        }

        private static boolean within(double value, double low, double high) {
            return value >= low && value <= high;
        }
    }

    /** @param points 2 as it should be, 1 it will do, 0 against it */
    public record Line(Criterion criterion, int points) {}

    public static LimbScore of(Limb limb) {
        return new LimbScore(
                limb,
                Arrays.stream(Criterion.values())
                        .map(one -> new Line(one, one.points.applyAsInt(limb)))
                        .toList());
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
