package org.kindgirdle.core.set;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.units.Require;

/**
 * What a day at the bench uses.
 *
 * @param ingredientsL litres of each ingredient, wet, with what is lost in handling
 * @param filmCm2 film to wrap with
 * @param foilCm2 foil to cover with: as much as the film
 * @param ties two a ball
 * @param containers pods, bags or pots
 * @param labels one a layer
 * @param hormoneMl ready for use
 * @param minutes of work
 */
public record ShoppingList(
        Map<String, Double> ingredientsL,
        double filmCm2,
        double foilCm2,
        int ties,
        int containers,
        int labels,
        double hormoneMl,
        double minutes) {

    private static final Rule HANDLING = Rule.of("shopping.handling");
    private static final Rule TIES_A_BALL = Rule.of("shopping.ties");
    private static final int MOST_LAYERS = 1_000_000;
    private static final Rule HORMONE_ML = Rule.of("shopping.hormone");

    /**
     * Layers alike, to be set that day.
     *
     * @param layers how many, 1 to 1 000 000
     * @param ball of each
     * @param mediumMl in each: the ball's, or what a container holds
     * @param film whether it is wrapped in film
     * @param foil whether it is covered with foil
     * @param container whether each has a pod, bag or pot
     * @param hormone whether the upper cut is dressed with it
     * @param minutesEach above 0 to 480
     */
    public record Batch(
            int layers,
            RingAndBall ball,
            double mediumMl,
            MediumMix mix,
            boolean film,
            boolean foil,
            boolean container,
            boolean hormone,
            double minutesEach) {

        public Batch {
            Require.within("layers", layers, 1, MOST_LAYERS);
            Require.within("mediumMl", mediumMl, 0, 100_000);
            Require.positive("minutesEach", minutesEach);
            Require.within("minutesEach", minutesEach, 0, 480);
        }
    }

    /** What all batches of a day use together; nothing for none. */
    public static ShoppingList of(HouseRules rules, List<Batch> batches) {
        Map<String, Double> ingredients = new LinkedHashMap<>();
        double film = 0;
        double foil = 0;
        int layers = 0;
        int containers = 0;
        double hormone = 0;
        double minutes = 0;
        for (Batch batch : batches) {
            double litres = rules.of(HANDLING) * batch.layers() * batch.mediumMl() / 1000;
            batch.mix().litres(litres).forEach((name, share) -> ingredients.merge(name, share, Double::sum));
            film += batch.film() ? batch.layers() * batch.ball().filmCm2() : 0;
            foil += batch.foil() ? batch.layers() * batch.ball().filmCm2() : 0;
            containers += batch.container() ? batch.layers() : 0;
            layers += batch.layers();
            hormone += batch.hormone() ? batch.layers() * rules.of(HORMONE_ML) : 0;
            minutes += batch.layers() * batch.minutesEach();
        }
        return new ShoppingList(
                Map.copyOf(ingredients),
                film,
                foil,
                (int) Math.round(rules.of(TIES_A_BALL) * layers),
                containers,
                layers,
                hormone,
                minutes);
    }
}
