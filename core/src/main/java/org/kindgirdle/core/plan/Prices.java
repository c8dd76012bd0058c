package org.kindgirdle.core.plan;

import java.util.Map;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * What the nursery pays, in its own money. There are no planning defaults: a price that nobody has typed in is 0, and
 * {@link Cost#unpriced()} names what was used without one.
 *
 * @param workAnHour 0 to 1e6
 * @param ingredientsALitre by the ingredient's name, a litre as it is bought (dry), each 0 to 1e6
 * @param filmAM2 0 to 1e6; {@code foilAM2} alike
 * @param tie 0 to 1e6; {@code container} and {@code label} alike
 * @param hormoneAMl 0 to 1e6
 */
public record Prices(
        double workAnHour,
        Map<String, Double> ingredientsALitre,
        double filmAM2,
        double foilAM2,
        double tie,
        double container,
        double label,
        double hormoneAMl) {

    private static final double MAX = 1e6;

    /** @throws OutOfRangeException if a value is outside the range that is given for it */
    public Prices {
        ingredientsALitre = Map.copyOf(ingredientsALitre);
        ingredientsALitre.forEach((name, price) -> Require.within("price of " + name, price, 0, MAX));
        Require.within("workAnHour", workAnHour, 0, MAX);
        Require.within("filmAM2", filmAM2, 0, MAX);
        Require.within("foilAM2", foilAM2, 0, MAX);
        Require.within("tie", tie, 0, MAX);
        Require.within("container", container, 0, MAX);
        Require.within("label", label, 0, MAX);
        Require.within("hormoneAMl", hormoneAMl, 0, MAX);
    }
}
