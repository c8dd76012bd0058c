package org.kindgirdle.server.plan;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.server.climate.Weather;

/**
 * A growing year of a place, with what each species may be set in.
 *
 * @param from its first day, about the coldest of the year
 * @param to the day after its last
 * @param temperatures one a day
 * @param frosts null where none comes
 * @param species by common name
 */
record SeasonView(
        LocalDate today,
        LocalDate from,
        LocalDate to,
        School school,
        List<DayMean> temperatures,
        @Nullable Frosts frosts,
        List<SpeciesSeason> species) {

    record DayMean(Weather.DayKind kind, double minC, double maxC) {}

    /** The frosts of the year: last in spring, first in autumn, on average and one year in ten. */
    record Frosts(LocalDate lastAverage, LocalDate lastLate, LocalDate firstEarly, LocalDate firstAverage) {}

    /**
     * @param mothers how many the nursery has
     * @param ownRecords that the dates rest on; 0 for the profile
     * @param set layers that were set in this year, by day
     */
    record SpeciesSeason(
            String code,
            String common,
            String botanical,
            long mothers,
            int ownRecords,
            List<SettingWindows.Band> bands,
            @Nullable LocalDate firstGood,
            @Nullable LocalDate lastGood,
            List<SetOn> set) {}

    record SetOn(LocalDate on, int layers) {}
}
