package org.kindgirdle.server.units;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.Unit;

/**
 * What a reader's quantities are shown in: the core's units, so that a page needs no factors of its own.
 *
 * @param system whose units they are
 * @param span a length as of a bed or a roll
 * @param bulk a volume as of a mix in its tub
 */
public record Measures(
        Units system,
        Measure length,
        Measure span,
        Measure volume,
        Measure bulk,
        Measure temperature,
        Measure temperatureShift,
        Measure mass,
        Measure concentration) {

    /**
     * One unit. What a reader sees of a kept value is {@code value / si + offset}.
     *
     * @param unit its symbol
     * @param si what one of it is in the unit in which values are kept
     * @param offset what is shown where nothing is kept: 32 in Fahrenheit
     * @param larger in which much of it is shown, from one of that on; null if it is always shown in this one
     */
    public record Measure(
            String unit, double si, double offset, @Nullable Larger larger) {}

    public record Larger(String unit, double si) {}

    public static Measures of(Units system) {
        boolean us = system == Units.US;
        return new Measures(
                system,
                one(us ? Unit.INCH : Unit.MILLIMETRE),
                one(us ? Unit.FOOT : Unit.METRE),
                with(us ? Unit.FLUID_OUNCE : Unit.MILLILITRE, us ? Unit.QUART : Unit.LITRE),
                one(us ? Unit.GALLON : Unit.LITRE),
                one(us ? Unit.FAHRENHEIT : Unit.CELSIUS),
                one(us ? Unit.FAHRENHEIT_DEGREE : Unit.CELSIUS_DEGREE),
                with(us ? Unit.OUNCE : Unit.GRAM, us ? Unit.POUND : Unit.KILOGRAM),
                one(Unit.PPM));
    }

    private static Measure one(Unit unit) {
        return new Measure(unit.symbol(), unit.perUnit(), unit.fromSi(0), null);
    }

    private static Measure with(Unit unit, Unit larger) {
        return new Measure(
                unit.symbol(), unit.perUnit(), unit.fromSi(0), new Larger(larger.symbol(), larger.perUnit()));
    }
}
