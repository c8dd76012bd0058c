package org.kindgirdle.server.sever;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.look.NextStep;
import org.kindgirdle.core.look.School;

/**
 * All layers that a cut is to be decided for.
 *
 * @param weeks the days ahead at each place that has such a layer
 * @param layers the most pressing first
 */
record SeveringView(LocalDate today, List<PlaceWeek> weeks, List<ToSever> layers) {

    /** @param days in the order of the calendar */
    record PlaceWeek(long placeId, String place, List<DayToSever> days) {}

    /**
     * A day as a day for severing.
     *
     * @param rank 1 for the best
     * @param willDo neither hot nor windy nor freezing
     * @param leastBad whether it is the one to take where none will do
     * @param forecast whether its weather is forecast, not the usual of the season
     * @param said why it is not the best, or that it is
     */
    record DayToSever(
            LocalDate on,
            String weekday,
            int rank,
            boolean willDo,
            boolean leastBad,
            boolean forecast,
            double maxC,
            double vpdKpa,
            @Nullable Double windMs,
            List<String> said) {}

    /** What is decided on it. */
    enum Group {
        /** it is to be cut */
        CUT,
        /** it is held back, carried over or protected */
        HELD,
        /** it is nearly ready */
        NEARLY
    }

    /** @param speaksFor false if it speaks for leaving it on */
    record Reason(boolean speaksFor, String sentence) {}

    /**
     * A layer.
     *
     * @param changed since when the advice is what it is; null if it was so since the last record
     * @param cutOn the day that was settled on
     * @param first codes that must come off before it, from the tip down
     * @param leaves beyond the ring as they were counted, 0 while it has none
     */
    @RecordBuilder
    @RecordBuilder.Options(builderMode = BuilderMode.STAGED)
    record ToSever(
            String code,
            Group group,
            String species,
            String variety,
            String mother,
            @Nullable String limb,
            long placeId,
            String place,
            RootStage stage,
            @Nullable Double fillPercent,
            NextStep step,
            String headline,
            @Nullable String changed,
            List<Reason> reasons,
            School school,
            boolean specimen,
            boolean fruitToKeep,
            int leaves,
            @Nullable LocalDate by,
            @Nullable LocalDate driesOn,
            @Nullable LocalDate cutOn,
            List<String> first) {}

    /**
     * The leaf that a mL of full, mature ball carries at 1 kPa.
     *
     * @param cm2PerMl as the house's rule has it: what every balance is reckoned with
     * @param shippedCm2PerMl before any record
     * @param learnedCm2PerMl what this nursery's severed plants say, with the range that holds four in five
     * @param plants how many it rests on
     * @param wilted how many of them wilted
     * @param sentence the same in words
     */
    record SupplyView(
            double cm2PerMl,
            double shippedCm2PerMl,
            double learnedCm2PerMl,
            double low,
            double high,
            int plants,
            int wilted,
            String sentence) {}
}
