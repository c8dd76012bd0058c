package org.kindgirdle.core.set;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.kindgirdle.core.units.MissingValueException;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * A house mix: ingredients by parts of volume, as they are used in the ball (wet).
 *
 * @param ingredients in the order in which the house mixes them, at least one
 * @param additives dosed by the rates on their own labels; none is usual
 */
public record MediumMix(List<Ingredient> ingredients, List<Additive> additives) {

    private static final double MAX_LITRES = 100_000;

    /**
     * @param parts of the mix, above 0 to 1000
     * @param swelling wet litres that one dry litre gives, 1 for what does not swell to 20; from the bag's own label
     */
    public record Ingredient(String name, double parts, double swelling) {
        /**
         * @throws OutOfRangeException if parts is outside 0 to 1000 or swelling is outside 1 to 20
         * @throws MissingValueException if there is no name
         */
        public Ingredient {
            Require.present("name", name);
            Require.positive("parts", parts);
            Require.within("parts", parts, 0, 1000);
            Require.within("swelling", swelling, 1, 20);
        }
    }

    /**
     * @param perLitre for a litre of mix, in its unit, above 0 to 1000; from its own label
     * @param unit of the rate
     */
    public record Additive(String name, double perLitre, DoseUnit unit) {
        /**
         * @throws OutOfRangeException if perLitre is outside 0 to 1000
         * @throws MissingValueException if there is no name or unit
         */
        public Additive {
            Require.present("name", name);
            Require.positive("perLitre", perLitre);
            Require.within("perLitre", perLitre, 0, 1000);
            Require.present("unit", unit);
        }
    }

    /** What labels give their rates in. */
    public enum DoseUnit {
        G,
        ML
    }

    /**
     * So much of one ingredient.
     *
     * @param wetLitres as it goes into the mix
     * @param dryLitres as it comes out of its bag
     */
    public record Amount(String name, double wetLitres, double dryLitres) {}

    /** @throws IllegalArgumentException if it has no ingredient */
    public MediumMix {
        if (ingredients.isEmpty()) {
            throw new IllegalArgumentException("the mix has no ingredient; it needs at least one");
        }
        ingredients = List.copyOf(ingredients);
        additives = List.copyOf(additives);
    }

    /** One ingredient and nothing else. */
    public static MediumMix of(String name) {
        return new MediumMix(List.of(new Ingredient(name, 1, 1)), List.of());
    }

    /**
     * What so much of the mix takes, in the order of the mix.
     *
     * @param litres of the mix, 0 to 100 000
     * @throws OutOfRangeException if litres is outside 0 to 100 000
     */
    public List<Amount> amounts(double litres) {
        Require.within("litres", litres, 0, MAX_LITRES);
        double all = ingredients.stream().mapToDouble(Ingredient::parts).sum();
        return ingredients.stream()
                .map(one -> {
                    double wet = litres * one.parts() / all;
                    return new Amount(one.name(), wet, wet / one.swelling());
                })
                .toList();
    }

    /**
     * Doses of the additives for so much of the mix, each in its own unit, in their order.
     *
     * @param litres of the mix, 0 to 100 000
     * @throws OutOfRangeException if litres is outside 0 to 100 000
     */
    public Map<String, Double> doses(double litres) {
        Require.within("litres", litres, 0, MAX_LITRES);
        Map<String, Double> each = new LinkedHashMap<>();
        additives.forEach(one -> each.merge(one.name(), litres * one.perLitre(), Double::sum));
        return each;
    }
}
