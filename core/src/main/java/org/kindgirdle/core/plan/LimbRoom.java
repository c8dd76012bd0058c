package org.kindgirdle.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * Where on a limb a further layer may be set. Nodes and leaves are taken as evenly spread from the tip to the union, for
 * nobody counts them by the stretch: where it comes close, count them on the limb.
 *
 * @param layout what stands on it
 * @param free stretches in which the tip end of a further ball may stand, from the tip to the union
 * @param more how many further layers there is room for
 * @param gapMm that is kept free between two balls here, mm; infinite on a limb with no node or no leaf
 */
public record LimbRoom(LimbLayout layout, List<Stretch> free, int more, double gapMm) {

    private static final Rule LEAST_GAP_MM = Rule.of("limb.gap");
    private static final Rule LEAST_NODES = Rule.of("limb.nodes");
    private static final Rule LEAST_LEAVES = Rule.of("limb.leaves-between");
    private static final Rule STUB_MM = Rule.of("limb.stub");

    public LimbRoom {
        free = List.copyOf(free);
    }

    /**
     * A limb from its tip to where it joins.
     *
     * @param lengthMm above 0 to 30 000 mm
     * @param nodes on it, 0 to 1000
     * @param leaves or buds on it, 0 to 5000
     */
    public record Shape(double lengthMm, int nodes, int leaves) {

        /**
         * @throws OutOfRangeException if lengthMm is outside 0 to 30 000, nodes is outside 0 to 1000 or leaves is
         *     outside 0 to 5000
         */
        public Shape {
            Require.positive("lengthMm", lengthMm);
            Require.within("lengthMm", lengthMm, 0, 30_000);
            Require.within("nodes", nodes, 0, 1000);
            Require.within("leaves", leaves, 0, 5000);
        }

        /**
         * What is left of it when it was cut where a ball stood: the saw goes in below the ball, and all beyond it is
         * gone.
         *
         * @param fromUnionMm of that ball, 0 to 20 000 mm
         * @throws OutOfRangeException if fromUnionMm is outside 0 to 20 000
         */
        public Shape cutBelow(HouseRules rules, double fromUnionMm) {
            Require.within("fromUnionMm", fromUnionMm, 0, 20_000);
            double left = Math.max(LEAST_MM, Math.min(lengthMm, fromUnionMm - rules.of(STUB_MM)));
            return new Shape(left, nodesOn(left), leavesOn(left));
        }

        /** Whole nodes on a stretch, 0 or more. */
        int nodesOn(double mm) {
            return (int) Math.floor(nodes * Math.max(0, mm) / lengthMm + WHOLE);
        }

        /** Whole leaves on a stretch, 0 or more. */
        int leavesOn(double mm) {
            return (int) Math.floor(leaves * Math.max(0, mm) / lengthMm + WHOLE);
        }

        /** Length that holds so many of what is spread over the limb, mm; infinite if there is none of it. */
        private double lengthFor(int count, int spread) {
            return count == 0 ? 0 : spread == 0 ? Double.POSITIVE_INFINITY : count * lengthMm / spread;
        }
    }

    /** A limb that was cut at the union has a stump of this length: no room, and no length of nothing. */
    private static final double LEAST_MM = 1;

    /** A count that misses a whole number by less than this is that number: it was made by dividing. */
    private static final double WHOLE = 1e-9;

    /**
     * A ball on the limb.
     *
     * @param fromUnionMm from where the limb joins to the ball's lower end, 0 to 20 000 mm
     * @param lengthMm of the ball, above 0 to 1000 mm
     */
    public record Standing(String code, double fromUnionMm, double lengthMm) {

        /** @throws OutOfRangeException if fromUnionMm is outside 0 to 20 000 or lengthMm is outside 0 to 1000 */
        public Standing {
            Require.within("fromUnionMm", fromUnionMm, 0, 20_000);
            Require.positive("lengthMm", lengthMm);
            Require.within("lengthMm", lengthMm, 0, 1000);
        }
    }

    /** A half-open stretch of places for a ball's tip end, mm from the limb's tip. */
    public record Stretch(double fromTipMm, double toTipMm) {

        double mm() {
            return toTipMm - fromTipMm;
        }
    }

    /**
     * @param standing in any order
     * @param ballMm length of the ball that a further layer would have, above 0 to 1000 mm
     * @throws OutOfRangeException if ballMm is outside 0 to 1000
     */
    public static LimbRoom of(HouseRules rules, Shape limb, List<Standing> standing, double ballMm) {
        Require.positive("ballMm", ballMm);
        Require.within("ballMm", ballMm, 0, 1000);
        LimbLayout layout = layout(rules, limb, standing);
        double gap = Math.max(
                rules.of(LEAST_GAP_MM),
                Math.max(
                        limb.lengthFor(rules.count(LEAST_NODES), limb.nodes()),
                        limb.lengthFor(rules.count(LEAST_LEAVES), limb.leaves())));
        double first = limb.lengthFor(LimbScore.leavesWanted(rules), limb.leaves());
        double last = limb.lengthMm() - ballMm - rules.of(STUB_MM);
        List<Stretch> free = new ArrayList<>();
        double from = first;
        for (LimbLayout.Ball ball : layout.fromTheTip()) {
            add(free, from, Math.min(last, ball.fromTipMm() - ballMm - gap));
            from = Math.max(from, ball.fromTipMm() + ball.lengthMm() + gap);
        }
        add(free, from, last);
        int more = free.stream()
                .mapToInt(stretch -> 1 + (int) Math.floor(stretch.mm() / (ballMm + gap)))
                .sum();
        return new LimbRoom(layout, free, more, gap);
    }

    private static void add(List<Stretch> free, double from, double to) {
        if (from <= to) {
            free.add(new Stretch(from, to));
        }
    }

    private static LimbLayout layout(HouseRules rules, Shape limb, List<Standing> standing) {
        // towards the union each ball's tip end lies further from the tip; one set above the measured tip stands at it
        List<Standing> ordered = standing.stream()
                .sorted(Comparator.comparingDouble((Standing one) -> fromTip(limb, one))
                        .thenComparing(Standing::code))
                .toList();
        List<LimbLayout.Ball> balls = new ArrayList<>();
        for (int i = 0; i < ordered.size(); i++) {
            Standing one = ordered.get(i);
            double end = fromTip(limb, one) + one.lengthMm();
            double next = i + 1 < ordered.size() ? fromTip(limb, ordered.get(i + 1)) : limb.lengthMm();
            balls.add(new LimbLayout.Ball(
                    one.code(),
                    fromTip(limb, one),
                    one.lengthMm(),
                    limb.nodesOn(next - end),
                    limb.leavesOn(next - end)));
        }
        return LimbLayout.of(rules, balls);
    }

    private static double fromTip(Shape limb, Standing one) {
        return Math.max(0, limb.lengthMm() - one.fromUnionMm() - one.lengthMm());
    }
}
