package org.kindgirdle.core.plan;

import java.time.LocalDate;
import java.util.Optional;
import org.kindgirdle.core.climate.FrostCalendar;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.look.School;

/** The last day by which a layer set in a growing year should be ready. A growing year turns on its coldest day. */
final class Deadline {

    private Deadline() {}

    /** Empty where no frost comes, or where growth never stops. */
    static Optional<LocalDate> of(
            LocalDate start, PlaceClimate climate, SpeciesProfile species, School school, int establishDays) {
        Optional<FrostCalendar> frosts = climate.frosts();
        if (frosts.isEmpty()) {
            return Optional.empty();
        }
        LocalDate year = growingYear(start, climate).plusYears(species.twoSeasons() ? 1 : 0);
        if (school == School.IN_LEAF) {
            return Optional.of(frosts.get().nextFirstEarly(year).minusDays(establishDays));
        }
        return Phenology.growthStops(climate, species).map(day -> onOrAfter(day, year));
    }

    /** The start of the growing year that a day lies in. */
    static LocalDate growingYear(LocalDate day, PlaceClimate climate) {
        LocalDate turn = LocalDate.ofYearDay(day.getYear(), climate.coldestDayOfYear());
        return turn.isAfter(day) ? LocalDate.ofYearDay(day.getYear() - 1, climate.coldestDayOfYear()) : turn;
    }

    static LocalDate onOrAfter(int dayOfYear, LocalDate day) {
        LocalDate thisYear = LocalDate.ofYearDay(day.getYear(), dayOfYear);
        return thisYear.isBefore(day) ? LocalDate.ofYearDay(day.getYear() + 1, dayOfYear) : thisYear;
    }
}
