package org.kindgirdle.core.harden;

import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.growth.Hardiness;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.Method;

/**
 * What a young plant needs for the winter where it stands.
 *
 * @param by the day before which it is to have it: the early first frost, or the first one in the forecast; today in
 *     the frosts
 * @param forecast whether that day comes from the forecast
 * @param barelyMoist whether it is without leaves by then, and rots in a wet pot
 */
public record WinterCare(Need need, LocalDate by, boolean forecast, boolean barelyMoist) {

    /** How far ahead a frost of the forecast counts, days. */
    private static final int FORECAST_DAYS = 14;

    /** What it needs. */
    public enum Need {
        /** a roof that keeps wind and wet off; some frost does no harm */
        COVER,
        /** its roots die at what this place's winter brings */
        FROST_FREE
    }

    /** Empty where no frost comes, and for what stands hardened in the open and bears the winter. */
    public static Optional<WinterCare> of(
            HouseRules rules,
            PlantState plant,
            PlaceClimate climate,
            SpeciesProfile species,
            @Nullable DaysOfYear leafless,
            LocalDate today) {
        FrostCalendar frosts = climate.frosts().orElse(null);
        if (frosts == null) {
            return Optional.empty();
        }
        // in a pot the roots have no more round them than in a ball: those of a first winter count as young
        Method roots = plant.ladder() == Ladder.GROUND ? Method.GROUND : Method.AIR;
        double bearsC = Hardiness.rootKillC(rules, roots, RootStage.FILLED);
        boolean hardy = Hardiness.isHardy(climate, species, bearsC);
        LocalDate killing = climate.knownNightDownTo(Math.max(bearsC, species.frostHardyToC()), today, FORECAST_DAYS)
                .orElse(null);
        if (killing != null) {
            // one winter in ten is colder than what it was judged by, and this is it
            boolean bare = leafless != null && leafless.includes(killing);
            return Optional.of(new WinterCare(Need.FROST_FREE, killing, true, bare));
        }
        if (hardy && plant.rung() == Rung.OPEN) {
            return Optional.empty();
        }
        LocalDate ahead = climate.knownFrost(today, FORECAST_DAYS).orElse(null);
        LocalDate by = ahead != null ? ahead : frosts.isFrostSeason(today) ? today : frosts.nextFirstEarly(today);
        boolean bare = leafless != null && leafless.includes(by);
        return Optional.of(new WinterCare(hardy ? Need.COVER : Need.FROST_FREE, by, ahead != null, bare));
    }
}
