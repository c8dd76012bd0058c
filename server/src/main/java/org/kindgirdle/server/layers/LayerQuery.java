package org.kindgirdle.server.layers;

import io.soabase.recordbuilder.core.RecordBuilder;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LossCause;
import org.kindgirdle.core.set.BridgingRisk;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.Wood;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;
import org.kindgirdle.server.problem.Within;

/**
 * Which layers, for the list of them and for the ledger alike, in which order, and how many at once. What is left out does not narrow.
 *
 * @param line a mother's id: layers of it and of all mothers that were raised from it
 * @param job code of what is to be done next
 * @param batch that it was set with
 * @param trial that it is a part of
 * @param hand who set it
 * @param motherPlace where its mother stands, wherever the plant is now
 * @param wound of its last ring, as {@code hormonePpm}, exactly, and {@code medium}
 * @param bridging risk by the ring as it was cut
 * @param year in which it was set, and {@code week} of the ISO year
 * @param outcome what became of it
 * @param cause that it was lost by
 * @param late only those whose job is past its last day
 * @param q words, each of them to be found in code, species, variety, mother, place or a note
 * @param sort due, set or code
 * @param cursor the {@code next} of the page before
 */
@RecordBuilder
public record LayerQuery(
        @Nullable LayerPhase phase,
        @Nullable Long motherId,
        @Nullable Long line,
        @Nullable Long placeId,
        @Nullable @Size(max = 12) String species,
        @Nullable RootStage stage,
        @Nullable @Size(max = 40) String job,
        @Nullable UUID batch,
        @Nullable Long trial,
        @Nullable @Size(max = 80) String hand,
        @Nullable @Size(max = 60) String variety,
        @Nullable Long motherPlace,
        @Nullable Long recipe,
        @Nullable Wound wound,
        @Nullable @Within(low = 0, high = 100_000) Double hormonePpm,
        @Nullable Medium medium,
        @Nullable Wrap wrap,
        @Nullable Cover cover,
        @Nullable Wood wood,
        @Nullable Position position,
        @Nullable BridgingRisk bridging,
        @Nullable @Within(low = 1900, high = 9999) Integer year,
        @Nullable @Within(low = 1, high = 53) Integer week,
        @Nullable LayerOutcome outcome,
        @Nullable LossCause cause,
        @Nullable Boolean late,
        @Nullable @Size(max = 200) String q,
        @Nullable String sort,
        @Nullable @Size(max = 200) String cursor,
        @Nullable @Within(low = 1, high = 500) Integer limit) {

    private static final int USUAL = 100;

    /** All layers of a species that were set in a year; null for every species, and for every year. */
    public static LayerQuery of(@Nullable String speciesCode, @Nullable Integer year) {
        return LayerQueryBuilder.builder().species(speciesCode).year(year).build();
    }

    int limitOrUsual() {
        return limit == null ? USUAL : limit;
    }

    String sortOrDue() {
        return sort == null ? "due" : sort;
    }
}
