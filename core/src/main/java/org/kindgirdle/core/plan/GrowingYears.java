package org.kindgirdle.core.plan;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.PlaceClimate;
import org.kindgirdle.core.growth.DaysOfYear;

/**
 * When rings may be cut in the growing years of a place. One year turns into the next on the coldest day of the
 * normals, so that both hemispheres are alike.
 */
public final class GrowingYears {

    private final PlaceClimate climate;
    private final @Nullable Integer opens;
    private final @Nullable Integer cools;

    /** @param opensAtMeanC the mean, C, from which the bark of the species slips */
    public GrowingYears(PlaceClimate climate, double opensAtMeanC) {
        this.climate = climate;
        this.opens = climate.warmsTo(opensAtMeanC).orElse(null);
        this.cools = climate.coolsTo(opensAtMeanC).orElse(null);
    }

    /** The first day of the growing year that a day lies in. */
    LocalDate startOf(LocalDate day) {
        return DaysOfYear.onOrBefore(climate.coldestDayOfYear(), day);
    }

    /** The day of the growing year on which the mean passes what the species opens at; empty if it never does. */
    Optional<LocalDate> opensOn(LocalDate day) {
        return Optional.ofNullable(opens).map(dayOfYear -> DaysOfYear.onOrAfter(dayOfYear, startOf(day)));
    }

    /**
     * The day of the growing year from which bark slips no more: it is too cool again, or frosts begin; empty where
     * neither comes.
     */
    Optional<LocalDate> closesOn(LocalDate day) {
        LocalDate start = startOf(day);
        Optional<LocalDate> cool = Optional.ofNullable(cools).map(dayOfYear -> DaysOfYear.onOrAfter(dayOfYear, start));
        Optional<LocalDate> frost = climate.frosts().map(frosts -> frosts.nextFirstAverage(start));
        return Stream.of(cool, frost).flatMap(Optional::stream).min(Comparator.naturalOrder());
    }

    /** The last frost of the growing year; where no frost comes its first day. */
    LocalDate lastFrostOn(LocalDate day) {
        LocalDate start = startOf(day);
        return climate.frosts().map(frosts -> frosts.nextLastAverage(start)).orElse(start);
    }

    /**
     * The first day of the next growing year on which a ring may be cut: a limb that a layer was cut from makes its new
     * leader till then.
     *
     * @param day on which the limb was cut back
     * @return empty where it never is warm enough for the species
     */
    public Optional<LocalDate> opensNextYear(LocalDate day) {
        LocalDate next = startOf(day).plusYears(1);
        LocalDate lastFrost = lastFrostOn(next);
        return opensOn(next).map(opened -> opened.isBefore(lastFrost) ? lastFrost : opened);
    }
}
