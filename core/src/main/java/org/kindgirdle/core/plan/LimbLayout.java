package org.kindgirdle.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * Several layers on one limb, numbered from the tip: in that order they are severed. Between two balls there must be
 * 200 mm and two nodes, and every stretch between two rings needs leaves of its own, for its sugar comes from nowhere
 * else.
 *
 * @param fromTheTip the balls in the order of their numbers, 1 first
 * @param faults what is wrong, in the order of the numbers
 */
public record LimbLayout(List<Ball> fromTheTip, List<Fault> faults) {

    private static final Rule LEAST_GAP_MM = Rule.of("limb.gap");
    /** Distances that were added and taken from one another differ by this much at most. */
    private static final double ROUNDING_MM = 1e-6;

    private static final Rule LEAST_NODES = Rule.of("limb.nodes");
    private static final Rule LEAST_LEAVES = Rule.of("limb.leaves-between");

    public LimbLayout {
        fromTheTip = List.copyOf(fromTheTip);
        faults = List.copyOf(faults);
    }

    /**
     * One layer on the limb.
     *
     * @param code its own
     * @param fromTipMm from the limb's tip to the ball's tip end, 0 to 30 000 mm
     * @param lengthMm of the ball, above 0 to 1000 mm
     * @param nodesBelow nodes between it and the next ball towards the base
     * @param leavesBelow leaves on that stretch
     */
    public record Ball(String code, double fromTipMm, double lengthMm, int nodesBelow, int leavesBelow) {

        /**
         * @throws OutOfRangeException if fromTipMm is outside 0 to 30 000, lengthMm is outside 0 to 1000, nodesBelow
         *     is outside 0 to 1000 or leavesBelow is outside 0 to 5000
         */
        public Ball {
            Require.within("fromTipMm", fromTipMm, 0, 30_000);
            Require.positive("lengthMm", lengthMm);
            Require.within("lengthMm", lengthMm, 0, 1000);
            Require.within("nodesBelow", nodesBelow, 0, 1000);
            Require.within("leavesBelow", leavesBelow, 0, 5000);
        }
    }

    /** What can be wrong between a ball and the next one towards the base. */
    public enum FaultKind {
        TOO_CLOSE,
        TOO_FEW_NODES,
        NO_LEAVES_BETWEEN
    }

    /**
     * A fault.
     *
     * @param upper number of the ball on the tip side
     * @param measured the gap in mm, the nodes or the leaves
     */
    public record Fault(FaultKind kind, int upper, double measured) {}

    /** @param balls in any order */
    public static LimbLayout of(HouseRules rules, List<Ball> balls) {
        List<Ball> ordered = balls.stream()
                .sorted(Comparator.comparingDouble(Ball::fromTipMm).thenComparing(Ball::code))
                .toList();
        List<Fault> faults = new ArrayList<>();
        for (int i = 0; i + 1 < ordered.size(); i++) {
            Ball upper = ordered.get(i);
            double gap = ordered.get(i + 1).fromTipMm() - upper.fromTipMm() - upper.lengthMm();
            if (gap < rules.of(LEAST_GAP_MM) - ROUNDING_MM) {
                faults.add(new Fault(FaultKind.TOO_CLOSE, i + 1, gap));
            }
            if (upper.nodesBelow() < rules.count(LEAST_NODES)) {
                faults.add(new Fault(FaultKind.TOO_FEW_NODES, i + 1, upper.nodesBelow()));
            }
            if (upper.leavesBelow() < rules.count(LEAST_LEAVES)) {
                faults.add(new Fault(FaultKind.NO_LEAVES_BETWEEN, i + 1, upper.leavesBelow()));
            }
        }
        return new LimbLayout(ordered, faults);
    }

    /** The layer that must come off before any other: the one nearest to the tip. */
    public boolean mayBeSevered(String code) {
        return !fromTheTip.isEmpty() && fromTheTip.get(0).code().equals(code);
    }
}
