package org.kindgirdle.server.journal;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.look.Condition;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.server.nursery.MotherHistory;
import org.kindgirdle.server.words.Advice;
import org.kindgirdle.server.words.MediumAdvice;
import org.kindgirdle.server.words.Reasons;
import tools.jackson.databind.JsonNode;

/** All that the page of one layer shows. Lengths in mm, volumes in mL. */
record LayerPage(
        String code,
        int revision,
        LocalDate asOf,
        LayerPhase phase,
        MotherOf mother,
        SpeciesOf species,
        RecipeOf recipe,
        LocalDate setOn,
        LocalDate ringedOn,
        Drawing drawing,
        RootStage stage,
        List<Integer> sectors,
        double fillPercent,
        double coverage,
        int widestGapDeg,
        Set<Condition> conditions,
        int attempts,
        Advice advice,
        List<Also> alsoDo,
        List<JobView> jobs,
        @Nullable ForecastView forecast,
        List<Reasons.RuleWords> rules,
        @Nullable String coming,
        List<Reasons.ChangeWords> changes,
        @Nullable PlantView plant,
        Suggested suggested,
        List<RecordView> records) {

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

    record RecipeOf(long id, String name, int number, Method method) {}

    /** What the stem drawing is made from. */
    record Drawing(
            RingAndBall ball,
            double ringMm,
            double aboveMm,
            double belowMm,
            Position position,
            Wood wood,
            int leavesBeyond,
            double leanDeg,
            BranchLoad load,
            boolean propped,
            Cover cover,
            Method method) {}

    record Also(String code, String sentence) {}

    record JobView(String code, String label, LocalDate from, LocalDate by, long daysLate) {}

    /**
     * @param curve probability of a full ball by the end of some days
     * @param ownRecords that the dates rest on; 0 for the profile
     * @param looksAgree false if a look contradicted those before it
     */
    record ForecastView(
            double thermalDays,
            double readyP,
            @Nullable LocalDate q10,
            @Nullable LocalDate q50,
            @Nullable LocalDate q90,
            int ownRecords,
            boolean looksAgree,
            List<Projector.ReadyBy> curve,
            LocalDate topUpOn) {}

    record PlantView(
            LocalDate severedOn,
            Rung rung,
            LocalDate rungSince,
            boolean potted,
            @Nullable LocalDate mossSince,
            Ladder ladder) {}

    /** What the forms begin with. */
    record Suggested(
            double waterMl, double ringMm, @Nullable Rung rung, List<MediumAdvice> firstMedia) {}

    record RecordView(
            UUID id,
            RecordKind kind,
            LocalDate on,
            Instant occurredAt,
            Instant recordedAt,
            String by,
            @Nullable UUID corrects,
            boolean inForce,
            LayerState.@Nullable Reason conflict,
            String note,
            JsonNode details,
            @Nullable JsonNode verdict) {}
}
