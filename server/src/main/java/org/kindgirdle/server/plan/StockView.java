package org.kindgirdle.server.plan;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.plan.LimbScore;
import org.kindgirdle.server.layers.TakenFromMothers;
import org.kindgirdle.server.mothers.LimbView;
import org.kindgirdle.server.mothers.MotherHistory;
import org.kindgirdle.server.mothers.MotherView;

/** The mothers as they stand, and all that is known of one of them. */
final class StockView {

    private StockView() {}

    /**
     * A mother in the list.
     *
     * @param underRings layers that stand on it now
     * @param room how many more it can carry
     * @param why a sentence
     * @param limbs that stand
     */
    record MotherLine(
            MotherView mother, String common, String botanical, int underRings, int room, String why, int limbs) {}

    /** The whole page of a mother; {@code taken} and {@code history} with the newest first. */
    record MotherPage(
            MotherLine line,
            String place,
            @Nullable String mergedInto,
            List<Remark> remarks,
            List<LimbStand> limbs,
            int withoutLimb,
            List<TakenFromMothers.Year> taken,
            List<MotherHistory.Entry> history) {}

    /**
     * A limb, the best first and those that are gone last.
     *
     * @param lengthMm of what is left of it, if layers were cut off since it was measured; nodes and leaves alike
     * @param cutBackOn when it lost the last of that; null if it is as it was measured
     * @param advice what it is good for, in a sentence
     * @param points of {@code most}
     * @param balls that stand on it, from the tip
     * @param free places for the tip end of a further ball
     * @param more layers that there is room for on it
     * @param spots where further balls go: from the union to the lower end of each, mm, the one nearest the tip first
     * @param remarks on rings on it
     * @param ever layers that came from it
     */
    @RecordBuilder
    @RecordBuilder.Options(builderMode = BuilderMode.STAGED)
    record LimbStand(
            LimbView limb,
            double lengthMm,
            int nodes,
            int leaves,
            @Nullable LocalDate cutBackOn,
            String advice,
            boolean suitable,
            int points,
            int most,
            List<ScoreLine> lines,
            List<BallOn> balls,
            double ballMm,
            List<FreeStretch> free,
            int more,
            List<Double> spots,
            List<String> faults,
            List<Remark> remarks,
            int ever) {}

    record ScoreLine(LimbScore.Criterion criterion, int points, String sentence) {}

    /** @param number from the tip, in the order in which they are to be severed */
    record BallOn(int number, String code, double fromTipMm, double lengthMm, double diameterMm) {}

    record FreeStretch(double fromTipMm, double toTipMm) {}
}
