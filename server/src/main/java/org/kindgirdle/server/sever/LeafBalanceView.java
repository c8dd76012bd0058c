package org.kindgirdle.server.sever;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.sever.Shelter;

/**
 * Leaf over root of one layer, for each day of the week and each shelter.
 *
 * @param supplyCm2PerMl the house's figure
 * @param supplyCm2 leaf that the roots supply at 1 kPa
 * @param leaves that are on it: as asked, or as they were counted when it was set
 * @param leafCm2 of one: as asked, or of its species' profile
 * @param bestOn the best day of the week; null if none will do
 * @param first codes that must come off before it
 * @param cut how it is cut off
 * @param cautions of its species and of the work
 */
record LeafBalanceView(
        double supplyCm2PerMl,
        double mediumMl,
        double fillPercent,
        boolean fillMeasured,
        boolean leavesCounted,
        RootStage stage,
        double supplyCm2,
        int leaves,
        double leafCm2,
        @Nullable LocalDate bestOn,
        List<DayBalance> days,
        List<String> first,
        String cut,
        List<String> cautions) {

    /** @param shelters in the order of the enum, the driest first */
    record DayBalance(
            LocalDate on,
            String weekday,
            boolean willDo,
            double maxC,
            double vpdKpa,
            List<String> said,
            List<InShelter> shelters) {}

    /**
     * @param carries the most leaves that the roots can supply
     * @param remove how many come off
     * @param halve how many to halve if none comes off; null if halving all is not enough
     * @param sentence the instruction
     */
    record InShelter(
            Shelter shelter,
            int carries,
            int remove,
            @Nullable Integer halve,
            String sentence) {}
}
