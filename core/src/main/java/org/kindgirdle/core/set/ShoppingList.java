package org.kindgirdle.core.set;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * What a day at the bench uses.
 *
 * @param ingredients of the media, with what is lost in handling; by name, in the order in which they first came up
 * @param doses of additives by name, each in the unit of its label
 * @param filmCm2 film to wrap with
 * @param foilCm2 foil to cover with: as much as the film
 * @param ties two for each ball that is tied
 * @param containers pods, bags and pots
 * @param labels one a layer
 * @param hormoneMl ready for use, by strength in ppm of IBA
 * @param minutes of work
 */
public record ShoppingList(
        Map<String, Amount> ingredients,
        Map<String, Double> doses,
        double filmCm2,
        double foilCm2,
        int ties,
        int containers,
        int labels,
        SortedMap<Double, Double> hormoneMl,
        double minutes) {

    private static final Rule HANDLING = Rule.of("shopping.handling");
    private static final Rule TIES_A_BALL = Rule.of("shopping.ties");
    private static final Rule HORMONE_ML = Rule.of("shopping.hormone");
    private static final int MAX_LAYERS = 1_000_000;

    /**
     * Litres of an ingredient.
     *
     * @param wetL as it goes into the balls
     * @param dryL as it comes out of its bag
     */
    public record Amount(double wetL, double dryL) {
        private Amount plus(Amount more) {
            return new Amount(wetL + more.wetL, dryL + more.dryL);
        }
    }

    /**
     * Layers alike, to be set that day.
     *
     * @param layers how many, 1 to 1 000 000
     * @param ball of each
     * @param recipe of all
     * @param mix that its medium is made from
     * @param minutesEach above 0 to 480
     */
    public record Batch(int layers, RingAndBall ball, Recipe recipe, MediumMix mix, double minutesEach) {
        /** @throws OutOfRangeException if layers is outside 1 to 1 000 000 or minutesEach is outside 0 to 480 */
        public Batch {
            Require.within("layers", layers, 1, MAX_LAYERS);
            Require.positive("minutesEach", minutesEach);
            Require.within("minutesEach", minutesEach, 0, 480);
        }

        private double litres(HouseRules rules) {
            return rules.of(HANDLING) * layers * recipe.mediumToMixMl(ball) / 1000;
        }
    }

    /** What all batches of a day use together; nothing for none. */
    public static ShoppingList of(HouseRules rules, List<Batch> batches) {
        Map<String, Amount> ingredients = new LinkedHashMap<>();
        Map<String, Double> doses = new LinkedHashMap<>();
        SortedMap<Double, Double> hormone = new TreeMap<>();
        double film = 0;
        double foil = 0;
        int layers = 0;
        int tied = 0;
        int containers = 0;
        double minutes = 0;
        for (Batch batch : batches) {
            Recipe recipe = batch.recipe();
            double litres = batch.litres(rules);
            if (litres > 0) {
                batch.mix()
                        .amounts(litres)
                        .forEach(one -> ingredients.merge(
                                one.name(), new Amount(one.wetLitres(), one.dryLitres()), Amount::plus));
                batch.mix().doses(litres).forEach((name, dose) -> doses.merge(name, dose, Double::sum));
            }
            film += recipe.wrap().isFilm() ? batch.layers() * batch.ball().filmCm2() : 0;
            foil += recipe.usesFoil() ? batch.layers() * batch.ball().filmCm2() : 0;
            containers += recipe.wrap().isContainer() ? batch.layers() : 0;
            tied += recipe.wrap().isTied() ? batch.layers() : 0;
            layers += batch.layers();
            if (recipe.hormonePpm() > 0) {
                hormone.merge(recipe.hormonePpm(), batch.layers() * rules.of(HORMONE_ML), Double::sum);
            }
            minutes += batch.layers() * batch.minutesEach();
        }
        return new ShoppingList(
                Collections.unmodifiableMap(ingredients),
                Collections.unmodifiableMap(doses),
                film,
                foil,
                (int) Math.round(rules.of(TIES_A_BALL) * tied),
                containers,
                layers,
                Collections.unmodifiableSortedMap(hormone),
                minutes);
    }

    /** Hormone of all strengths together, mL. */
    public double hormoneInAllMl() {
        return hormoneMl.values().stream().mapToDouble(Double::doubleValue).sum();
    }
}
