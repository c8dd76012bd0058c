package org.kindgirdle.core.layer;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RecipeFactors;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.StageSeen;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.look.NextLook;
import org.kindgirdle.core.look.TopUp;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wood;

/**
 * The visits that a layer is likely to ask for from the ring to the knife, if it roots in its median time and each look
 * finds what it then should.
 *
 * @param looks in order; the last finds it full
 * @param topUps in order
 * @param readyOn the day it is full
 */
public record ExpectedVisits(List<LocalDate> looks, List<LocalDate> topUps, LocalDate readyOn) {

    private static final double MEDIAN = .5;

    /** More looks than these no layer asks for in four years. */
    private static final int MAX_LOOKS = 250;

    public ExpectedVisits {
        looks = List.copyOf(looks);
        topUps = List.copyOf(topUps);
    }

    /**
     * @param ball of the branch that is layered
     * @return empty if it would not be full within the horizon
     */
    public static Optional<ExpectedVisits> of(LayerContext context, Wood wood, RingAndBall ball, LocalDate setOn) {
        Cover cover = context.recipe().cover();
        ThermalSums sums = context.sums().apply(cover);
        double speed = context.factors(wood).speed();
        TimeToReady prior = context.time().prior(context.rules());
        double truth = prior.quantile(MEDIAN);
        return sums.firstDayReaching(setOn, truth / speed)
                .map(readyOn -> new ExpectedVisits(
                        looks(context, wood, sums, speed, truth, setOn),
                        topUps(context, ball, speed, truth, sums, setOn, readyOn),
                        readyOn));
    }

    private static List<LocalDate> looks(
            LayerContext context, Wood wood, ThermalSums sums, double speed, double truth, LocalDate setOn) {
        List<LocalDate> looks = new ArrayList<>();
        List<StageSeen> seen = new ArrayList<>();
        TimeToReady ready = context.time().prior(context.rules());
        RecipeFactors factors = context.factors(wood);
        RootStage stage = RootStage.NONE;
        LocalDate last = setOn;
        while (!stage.isAtLeast(RootStage.FILLED) && looks.size() < MAX_LOOKS) {
            boolean growing = context.seasons().isGrowing(last);
            LocalDate day = NextLook.after(
                            context.rules(),
                            last,
                            stage,
                            context.recipe().cover().isSeenThrough(),
                            growing,
                            false,
                            ready,
                            thermalDays -> sums.firstDayReaching(setOn, thermalDays / speed))
                    .from();
            double thermalDays = speed * sums.between(setOn, day.plusDays(1));
            stage = RootStage.at(context.rules(), thermalDays / truth);
            seen.add(new StageSeen(stage, thermalDays));
            ready = context.ready(factors, seen);
            looks.add(day);
            last = day;
        }
        return looks;
    }

    private static List<LocalDate> topUps(
            LayerContext context,
            RingAndBall ball,
            double speed,
            double truth,
            ThermalSums sums,
            LocalDate setOn,
            LocalDate readyOn) {
        List<LocalDate> topUps = new ArrayList<>();
        LocalDate day = setOn;
        while (true) {
            RootStage stage = RootStage.at(context.rules(), speed * sums.between(setOn, day.plusDays(1)) / truth);
            int days = TopUp.of(
                            context.rules(),
                            ball.mediumMl(),
                            ball.ballLengthMm(),
                            ball.ballDiameterMm(),
                            context.recipe().medium(),
                            context.recipe().wrap(),
                            context.exposure(),
                            context.recipe().cover().isReflecting(),
                            context.climate().vpdKpaOn(day),
                            stage)
                    .intervalDays();
            day = day.plusDays(days);
            if (!day.isBefore(readyOn)) {
                return topUps;
            }
            topUps.add(day);
        }
    }
}
