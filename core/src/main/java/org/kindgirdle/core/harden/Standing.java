package org.kindgirdle.core.harden;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;

/**
 * Where a young plant stands, and the seasons that it keeps to.
 *
 * @param climate of the place where it stands
 * @param openAir of the nursery outside all its places, where a plant on the last rung is
 * @param leafless days of the year without leaves where it grew up; null if it keeps them
 * @param growthBegins day of the year on which it grows again there; null where growth never stops
 */
public record Standing(
        PlaceClimate climate,
        PlaceClimate openAir,
        @Nullable DaysOfYear leafless,
        @Nullable Integer growthBegins) {

    /** In the open air, of a plant whose growth never stops. */
    public Standing(PlaceClimate climate, @Nullable DaysOfYear leafless) {
        this(climate, climate, leafless, null);
    }

    /** The air that a plant on a rung is in. */
    PlaceClimate on(Rung rung) {
        return rung == Rung.OPEN ? openAir : climate;
    }

    /** The first day after a day on which it grows again; the day itself where growth never stops. */
    LocalDate nextSpring(LocalDate day) {
        Integer begins = leafless != null ? Integer.valueOf(leafless.to()) : growthBegins;
        if (begins == null) {
            return day;
        }
        return DaysOfYear.onOrAfter(begins, day.plusDays(1));
    }
}
