package org.kindgirdle.server.plan;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What plants that are wanted ask for.
 *
 * @param layers to set
 * @param rooting expected share of them that roots; {@code establishing} of those
 * @param rootingRecords own layers that the share rests on; 0 for what is believed before any
 * @param latestSetOn the last day to set them by, and have them released in time; null if it is past or there is none
 * @param headline what to do, in a sentence
 * @param shortfalls the chance of falling short
 * @param room on the mothers of the species, the most first
 * @param effort minutes in all
 * @param weeks minutes by week, those with something to do
 * @param materials what they use
 * @param cost by the house's own prices
 */
@RecordBuilder
@RecordBuilder.Options(builderMode = BuilderMode.STAGED)
record NumbersView(
        int layers,
        double rooting,
        int rootingRecords,
        double establishing,
        int establishingRecords,
        @Nullable LocalDate latestSetOn,
        String headline,
        List<Shortfall> shortfalls,
        List<Room> room,
        int roomTotal,
        EffortView effort,
        List<Week> weeks,
        Materials materials,
        CostView cost) {

    /** @param by this many plants or more too few */
    record Shortfall(int by, double p) {}

    record Room(long motherId, String code, String variety, String place, int room) {}

    record EffortView(double set, double looks, double topUps, double sever, double minutes) {}

    /** @param capacity minutes of the rounds of a week */
    record Week(LocalDate monday, double minutes, double capacity) {}

    /**
     * @param currency as it stands after an amount
     * @param materials money by item
     * @param perPlant of those that are likely to be released
     * @param unpriced what is used and has no price
     */
    record CostView(
            String currency,
            Map<String, Double> materials,
            double work,
            double total,
            double perLayer,
            double perPlant,
            Set<String> unpriced) {}

    record Materials(
            Map<String, Double> ingredientsL, double filmCm2, double foilCm2, int ties, int labels, double hormoneMl) {}
}
