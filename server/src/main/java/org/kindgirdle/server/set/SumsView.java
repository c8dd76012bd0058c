package org.kindgirdle.server.set;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.BridgingRisk;
import org.kindgirdle.core.set.ContainerFit;
import org.kindgirdle.core.set.HormoneFit;
import org.kindgirdle.core.set.MediumMix;
import org.kindgirdle.core.set.RingAndBall;

/** What the sums of the bench say. */
final class SumsView {

    private SumsView() {}

    /**
     * @param targetPercent the strength wanted, in percent
     * @param stockMl of the liquid, filled up with {@code diluentMl}; both null for a solid
     * @param solidMg of the solid; null for a liquid
     * @param band null if no species was named
     */
    record HormoneSums(
            double targetPercent,
            @Nullable Double stockMl,
            @Nullable Double diluentMl,
            @Nullable Double solidMg,
            @Nullable BandView band,
            List<String> cautions) {}

    record BandView(double lowPpm, double highPpm, HormoneFit fit, String sentence) {}

    /**
     * @param filmCm2 for all the layers; {@code mediumMl} and {@code ties} alike, and the foil is as much as the film
     * @param containers what the house keeps, each with how it would do
     */
    record BallSums(
            RingAndBall ball,
            double aboveMm,
            double belowMm,
            BridgingRisk bridging,
            BranchLoad load,
            String loadSentence,
            boolean thin,
            double mediumMl,
            double filmCm2,
            int ties,
            List<ContainerView> containers) {}

    /** @param mediumMl that it holds round this branch; null if it can't be closed round it */
    record ContainerView(String name, @Nullable Double mediumMl, ContainerFit fit, String sentence) {}

    /** @param withHandlingMl with what is lost in handling; the amounts are for this */
    record MediumSums(
            double withHandlingMl,
            List<MediumMix.Amount> ingredients,
            List<DoseView> doses,
            double wetG,
            double waterG,
            String moistureTest,
            List<String> cautions) {}

    record DoseView(String name, double amount, MediumMix.DoseUnit unit) {}
}
