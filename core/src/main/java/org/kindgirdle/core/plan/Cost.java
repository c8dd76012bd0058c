package org.kindgirdle.core.plan;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.kindgirdle.core.set.ShoppingList;
import org.kindgirdle.core.units.OutOfRangeException;
import org.kindgirdle.core.units.Require;

/**
 * What layers cost: materials by item, and work.
 *
 * @param materials money by item, in the order of the list
 * @param work money for the minutes
 * @param layers that it is for
 * @param unpriced items that were used and have no price
 */
public record Cost(Map<String, Double> materials, double work, int layers, Set<String> unpriced) {

    private static final double CM2_PER_M2 = 10_000;
    private static final double MINUTES_PER_HOUR = 60;
    private static final double MAX_MINUTES = 1e8;

    public Cost {
        materials = Map.copyOf(materials);
        // in one order always, for it is read out
        unpriced = Collections.unmodifiableSortedSet(new TreeSet<>(unpriced));
    }

    /**
     * @param list what is used, for all layers
     * @param minutes of work, 0 to 1e8
     * @throws OutOfRangeException if minutes is outside 0 to 1e8
     */
    public static Cost of(Prices prices, ShoppingList list, double minutes) {
        Require.within("minutes", minutes, 0, MAX_MINUTES);
        Map<String, Double> materials = new LinkedHashMap<>();
        Set<String> unpriced = new TreeSet<>();
        for (Use use : uses(prices, list)) {
            if (use.amount > 0) {
                materials.put(use.item, use.amount * use.price);
                if (use.price == 0) {
                    unpriced.add(use.item);
                }
            }
        }
        // what is dosed by the gram is little, and its label's unit differs from one to the next
        unpriced.addAll(list.doses().keySet());
        if (minutes > 0 && prices.workAnHour() == 0) {
            unpriced.add("WORK");
        }
        return new Cost(materials, minutes / MINUTES_PER_HOUR * prices.workAnHour(), list.labels(), unpriced);
    }

    private record Use(String item, double amount, double price) {}

    private static List<Use> uses(Prices prices, ShoppingList list) {
        List<Use> uses = new ArrayList<>();
        // a litre is paid for as it comes out of the bag
        list.ingredients()
                .forEach((name, amount) -> uses.add(
                        new Use(name, amount.dryL(), prices.ingredientsALitre().getOrDefault(name, 0.0))));
        uses.add(new Use("FILM", list.filmCm2() / CM2_PER_M2, prices.filmAM2()));
        uses.add(new Use("FOIL", list.foilCm2() / CM2_PER_M2, prices.foilAM2()));
        uses.add(new Use("TIES", list.ties(), prices.tie()));
        uses.add(new Use("CONTAINERS", list.containers(), prices.container()));
        uses.add(new Use("LABELS", list.labels(), prices.label()));
        uses.add(new Use("HORMONE", list.hormoneInAllMl(), prices.hormoneAMl()));
        return uses;
    }

    /** Materials and work together, in money. */
    public double total() {
        return work
                + materials.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    /** For one layer; 0 of none. */
    public double perLayer() {
        return layers == 0 ? 0 : total() / layers;
    }

    /**
     * For one plant released; infinite if there is none.
     *
     * @param released 0 to 1e6
     * @throws OutOfRangeException if released is outside 0 to 1e6
     */
    public double perPlant(double released) {
        Require.within("released", released, 0, 1e6);
        return released == 0 ? Double.POSITIVE_INFINITY : total() / released;
    }
}
