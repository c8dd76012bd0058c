package org.kindgirdle.server.layers;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.Estimate;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.server.records.RecordKind;
import org.kindgirdle.server.words.Reasons;
import tools.jackson.databind.JsonNode;

/**
 * All that the page of one layer shows: what its card does, and the whole of its past and its reasons.
 *
 * @param batchId of those that it was set with
 * @param hand who set it; empty if nobody said
 * @param limbLoad what all the balls on its limb together ask of it; null where it is alone there, or that is little
 * @param estimates what the ring and each look since taught of the date
 */
public record LayerPage(
        @JsonUnwrapped LayerCard card,
        UUID batchId,
        String hand,
        @Nullable LimbLoad limbLoad,
        @Nullable ForecastView forecast,
        List<Estimate> estimates,
        List<Reasons.RuleWords> rules,
        @Nullable String coming,
        List<Reasons.ChangeWords> changes,
        List<RecordView> records) {

    /** @param codes of all that stand on the limb: what holds it up holds up each of them */
    record LimbLoad(String sentence, List<String> codes) {}

    /**
     * @param fullP probability that it is full now, if it roots
     * @param roots the chance that it roots at all, after its looks
     * @param rootsBefore the same when it was set
     * @param curve probability of a full ball by the end of some days, if it roots
     * @param ownRecords that the dates rest on; 0 for the profile
     * @param deadline the day by which it should be full; null where no frost comes
     * @param inTimeP probability that it is, if it roots
     */
    record ForecastView(
            double thermalDays,
            double fullP,
            double roots,
            double rootsBefore,
            @Nullable LocalDate q10,
            @Nullable LocalDate q50,
            @Nullable LocalDate q90,
            int ownRecords,
            List<Projector.ReadyBy> curve,
            LocalDate topUpOn,
            @Nullable LocalDate deadline,
            double inTimeP) {}

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
