package org.kindgirdle.core.set;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.kindgirdle.core.units.Require;

/**
 * A house mix: ingredients by parts of volume, as they are used in the ball (wet).
 *
 * @param parts by the ingredient's name, each above 0 to 1000
 */
public record MediumMix(Map<String, Double> parts) {

    public MediumMix {
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("the mix has no ingredient; it needs at least one");
        }
        parts.forEach((name, share) -> {
            Require.positive("parts of " + name, share);
            Require.within("parts of " + name, share, 0, 1000);
        });
        // the order in which the house wrote them is the order in which they are mixed
        parts = Collections.unmodifiableMap(new LinkedHashMap<>(parts));
    }

    /**
     * Litres of each ingredient for so much of the mix, in the order of the mix.
     *
     * @param litres of the mix, 0 to 100 000
     */
    public Map<String, Double> litres(double litres) {
        Require.within("litres", litres, 0, 100_000);
        double all = parts.values().stream().mapToDouble(Double::doubleValue).sum();
        Map<String, Double> each = new LinkedHashMap<>();
        parts.forEach((name, share) -> each.put(name, litres * share / all));
        return each;
    }

    /**
     * What comes out of the bag dry, for an ingredient that swells when it is soaked.
     *
     * @param wetLitres 0 to 100 000
     * @param swelling wet litres that one dry litre gives, 1 to 20; from the bag's own label
     */
    public static double dryLitres(double wetLitres, double swelling) {
        Require.within("wetLitres", wetLitres, 0, 100_000);
        Require.within("swelling", swelling, 1, 20);
        return wetLitres / swelling;
    }

    /**
     * Dose of an additive, by the rate that stands on its own label.
     *
     * @param litres of mix, 0 to 100 000
     * @param perLitre grams or millilitres for a litre of mix, 0 to 1000
     */
    public static double dose(double litres, double perLitre) {
        return Require.within("litres", litres, 0, 100_000) * Require.within("perLitre", perLitre, 0, 1000);
    }
}
