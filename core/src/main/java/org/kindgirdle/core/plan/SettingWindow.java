package org.kindgirdle.core.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;
import org.kindgirdle.core.growth.Phenology;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.ThermalSums;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.look.School;

/**
 * What one start date is worth for a species, place and recipe.
 *
 * @param start the day of setting
 * @param readyP probability of a full ball by the deadline, 0 to 1; 1 where there is none
 * @param deadline the last day by which it should be full; null on a frost-free place
 * @param windowClass what that makes of the date
 * @param end which end closed it; null if it is not closed
 */
public record SettingWindow(
        LocalDate start,
        double readyP,
        @Nullable LocalDate deadline,
        WindowClass windowClass,
        @Nullable End end) {

    private static final double GOOD_P = .8;
    private static final double RISKY_P = .4;
    private static final int LEAF_FALL_DAYS = 30;
    private static final int OVERWINTER_DAYS = 90;

    /** The end of the window that closed a date. */
    public enum End {
        TOO_EARLY,
        TOO_LATE
    }

    /**
     * @param sums thermal sums of the place, species, exposure and cover, that begin at or before the start
     * @param speed of the recipe
     * @param hardy whether it stands the winter on the plant
     */
    public static SettingWindow of(
            LocalDate start,
            PlaceClimate climate,
            SpeciesProfile species,
            TimeToReady ready,
            ThermalSums sums,
            double speed,
            School school,
            int establishDays,
            boolean hardy) {
        LocalDate deadline =
                Deadline.of(start, climate, species, school, establishDays).orElse(null);
        double p = deadline == null ? 1 : readyP(start, deadline, ready, sums, speed);
        if (isTooEarly(start, climate, species)) {
            return new SettingWindow(start, p, deadline, WindowClass.CLOSED, End.TOO_EARLY);
        }
        Optional<DaysOfYear> leafless = Phenology.leafless(climate, species);
        boolean nearLeafFall = leafless.isPresent()
                && (leafless.get().includes(start) || daysToLeafFall(start, leafless.get()) < LEAF_FALL_DAYS);
        if (p >= GOOD_P && !nearLeafFall) {
            return new SettingWindow(start, p, deadline, WindowClass.GOOD, null);
        }
        if (p >= RISKY_P) {
            return new SettingWindow(start, p, deadline, WindowClass.RISKY, null);
        }
        boolean overwinters = hardy
                && !nearLeafFall
                && leafless.isPresent()
                && readyP(start, leafOutAfterWinter(start, climate, leafless.get()), ready, sums, speed) >= GOOD_P;
        return new SettingWindow(
                start, p, deadline, overwinters ? WindowClass.OVERWINTER : WindowClass.CLOSED, End.TOO_LATE);
    }

    /** Probability of a full ball by the end of a day, if it is set on the start. */
    public static double readyP(LocalDate start, LocalDate by, TimeToReady ready, ThermalSums sums, double speed) {
        double thermalDays = speed * sums.between(start, by.plusDays(1));
        return thermalDays > 0 ? ready.readyBy(thermalDays) : 0;
    }

    private static boolean isTooEarly(LocalDate start, PlaceClimate climate, SpeciesProfile species) {
        LocalDate year = Deadline.growingYear(start, climate);
        Optional<Integer> warm = Phenology.warmsTo(climate, species.opensAtMeanC());
        if (warm.isEmpty()) {
            return true;
        }
        LocalDate opens = Deadline.onOrAfter(warm.get(), year);
        LocalDate lastFrost =
                climate.frosts().map(frosts -> frosts.nextLastAverage(year)).orElse(year);
        return start.isBefore(opens) || start.isBefore(lastFrost);
    }

    private static long daysToLeafFall(LocalDate start, DaysOfYear leafless) {
        return ChronoUnit.DAYS.between(start, Deadline.onOrAfter(leafless.from(), start));
    }

    private static LocalDate leafOutAfterWinter(LocalDate start, PlaceClimate climate, DaysOfYear leafless) {
        LocalDate nextYear = Deadline.growingYear(start, climate).plusYears(1);
        return Deadline.onOrAfter(leafless.to(), nextYear).plusDays(OVERWINTER_DAYS);
    }
}
