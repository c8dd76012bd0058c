package org.kindgirdle.server.layers;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.Unmeasured;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.mothers.MotherHistory;
import org.kindgirdle.server.words.Advice;
import org.kindgirdle.server.words.MediumAdvice;

/**
 * What a grower at the plant has to know of a layer, and what the forms begin with. Lengths in mm, volumes in mL.
 *
 * @param lookedOn day of the last look since the ring; null before any
 * @param sectors densities of the eight, from none to dense; null, as coverage and gap, if nobody looked round it
 * @param fillPercent how much of the ball is rooted; null if nobody said
 * @param odds what is to be found today, by the heat since the ring; empty off the mother
 */
@RecordBuilder
@RecordBuilder.Options(builderMode = BuilderMode.STAGED)
public record LayerCard(
        String code,
        int revision,
        LocalDate asOf,
        LayerPhase phase,
        MotherOf mother,
        SpeciesOf species,
        RecipeOf recipe,
        LocalDate setOn,
        LocalDate ringedOn,
        @Nullable LocalDate lookedOn,
        Drawing drawing,
        RootStage stage,
        @Nullable List<Integer> sectors,
        @Nullable Double fillPercent,
        @Nullable Double coverage,
        @Nullable Integer widestGapDeg,
        Set<Condition> conditions,
        int attempts,
        List<NotMeasured> unmeasured,
        Advice advice,
        List<Also> alsoDo,
        List<JobView> jobs,
        List<StageOdds> odds,
        @Nullable PlantView plant,
        Suggested suggested) {

    /** @param takenAs what sums take it as, in mm, degrees, leaves or per cent; null where nothing is taken for it */
    record NotMeasured(Unmeasured what, @Nullable Double takenAs) {}

    /** @param p probability of finding it today */
    record StageOdds(RootStage stage, double p) {}

    /**
     * @param setAs code of the mother that it was recorded on, where that turned out to be this one
     * @param formerLabels what its label may still say
     */
    record MotherOf(
            long id,
            String code,
            String variety,
            String place,
            @Nullable String setAs,
            @Nullable String limb,
            List<MotherHistory.FormerLabel> formerLabels) {}

    record SpeciesOf(String code, String botanical, String common, String hazards) {}

    record RecipeOf(long id, String name, int number, Method method, Way way) {}

    /**
     * What its method makes of it.
     *
     * @param staysOnMother whether it roots on its mother; what does not was cut off when it was set
     * @param hangs whether its limb carries the ball
     * @param goesOnAsAir whether a limb without roots can still be ringed and wrapped in the air
     * @param standsInWater whether its limb may be cut whole and stood in water
     */
    record Way(boolean staysOnMother, boolean hangs, boolean goesOnAsAir, boolean standsInWater) {

        static Way of(Method method) {
            return new Way(method.staysOnMother(), method.hangs(), method.goesOnAsAir(), method.standsInWater());
        }
    }

    /** What the stem drawing is made from. */
    record Drawing(
            RingAndBall ball,
            double ringMm,
            double aboveMm,
            double belowMm,
            @Nullable Position position,
            Wood wood,
            int leavesBeyond,
            double leanDeg,
            BranchLoad load,
            boolean propped,
            Cover cover,
            Method method,
            boolean wrapped) {}

    /** @param cover that the work puts on; null where it changes none */
    record Also(String code, String sentence, @Nullable Cover cover) {}

    record JobView(String code, String label, LocalDate from, LocalDate by, long daysLate) {}

    /**
     * @param placeId of the place where it stands
     * @param motherAgainOn from about when the limb that it was cut from may be ringed again
     */
    record PlantView(
            long placeId,
            LocalDate severedOn,
            Rung rung,
            LocalDate rungSince,
            boolean potted,
            @Nullable LocalDate mossSince,
            Ladder ladder,
            boolean stubTidied,
            @Nullable LocalDate motherAgainOn) {}

    /** What the forms begin with. */
    public record Suggested(
            double waterMl, double ringMm, @Nullable Rung rung, List<MediumAdvice> firstMedia) {}
}
