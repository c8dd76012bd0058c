package org.kindgirdle.server.harden;

import io.soabase.recordbuilder.core.RecordBuilder;
import io.soabase.recordbuilder.core.RecordBuilder.BuilderMode;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.harden.Ladder;
import org.kindgirdle.core.harden.PlantSign;
import org.kindgirdle.core.harden.PlantStep;
import org.kindgirdle.core.harden.Rung;
import org.kindgirdle.core.harden.WinterCare;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.server.words.Advice;

/**
 * All plants between the cut and their release.
 *
 * @param weeks the days ahead at each place where one stands
 * @param plants by rung, those that droop first
 * @param winter what must be under cover, the earliest first
 * @param beforeFrost the evening on which that must be done, if a frost is forecast; null if none is
 */
record LadderView(
        LocalDate today,
        List<PlaceAhead> weeks,
        List<OnLadder> plants,
        List<ForWinter> winter,
        @Nullable LocalDate beforeFrost) {

    /** @param days today and those that the forecast knows */
    record PlaceAhead(long placeId, String place, List<AheadDay> days) {}

    /**
     * @param forbids whether no plant moves up before such a day
     * @param said why
     */
    record AheadDay(
            LocalDate on,
            String weekday,
            double minC,
            double maxC,
            @Nullable Double windMs,
            boolean forbids,
            List<String> said) {}

    /**
     * A plant.
     *
     * @param to the rung that it is to move to, up or back; null if it stays
     * @param from the first day on which the next step up is looked at
     * @param mossUntil the last day in its tray; null if it stands in none
     * @param seen the newest signs
     */
    @RecordBuilder
    @RecordBuilder.Options(builderMode = BuilderMode.STAGED)
    record OnLadder(
            String code,
            int revision,
            String species,
            String variety,
            String mother,
            long placeId,
            String place,
            LayerPhase phase,
            Ladder ladder,
            Rung rung,
            LocalDate since,
            int daysWanted,
            PlantStep step,
            Advice advice,
            @Nullable Rung to,
            LocalDate from,
            @Nullable LocalDate mossUntil,
            Set<PlantSign> seen,
            @Nullable LocalDate seenOn) {}

    /** @param by the day before which it is to be there */
    record ForWinter(
            String code,
            String species,
            String variety,
            String place,
            WinterCare.Need need,
            LocalDate by,
            boolean forecast,
            boolean barelyMoist) {}
}
