package org.kindgirdle.core.house;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A nursery's own figures: a value for every {@link Rule}. Immutable; two with the same values are equal, so that they
 * can key what is worked out from them.
 */
public final class HouseRules {

    /** Pairs of which the first must not pass the second. */
    private static final List<Pair> ORDERED = ordered();

    /** The planning defaults that the application begins with. */
    public static final HouseRules SHIPPED =
            new HouseRules(Rule.all().stream().mapToDouble(Rule::shipped).toArray());

    /** Figures that no rule turns on any more: what a nursery of before had set them to is let go of. */
    private static final Set<String> RETIRED = Set.of("job.decision-holds", "cover.hot-day", "cover.late");

    private final double[] values;
    private final int hash;

    private HouseRules(double[] values) {
        this.values = values;
        this.hash = Arrays.hashCode(values);
    }

    /**
     * The shipped rules with some figures replaced.
     *
     * @param values by code; a code that is not there keeps what is shipped, and one that earlier versions had is let go
     * @throws IllegalArgumentException if a code is unknown, a value is outside its range, or two values that belong
     *     together are the wrong way round
     */
    public static HouseRules of(Map<String, Double> values) {
        double[] all = SHIPPED.values.clone();
        values.forEach((code, value) -> {
            if (RETIRED.contains(code)) {
                return;
            }
            Rule rule = Rule.of(code);
            all[rule.index()] = rule.check(value);
        });
        ORDERED.forEach(pair -> pair.check(all));
        return new HouseRules(all);
    }

    /** The value of a rule, in the rule's unit. */
    public double of(Rule rule) {
        return values[rule.index()];
    }

    /** The value of a rule that counts something. */
    public int count(Rule rule) {
        return (int) values[rule.index()];
    }

    /** A copy with one figure replaced, under the conditions of {@link #of(Map)}. */
    public HouseRules with(String code, double value) {
        Map<String, Double> changed = new LinkedHashMap<>(values());
        changed.put(code, value);
        return of(changed);
    }

    /** Every value by its rule's code, in the order of the table. */
    public Map<String, Double> values() {
        Map<String, Double> all = new LinkedHashMap<>();
        Rule.all().forEach(rule -> all.put(rule.code(), values[rule.index()]));
        return Collections.unmodifiableMap(all);
    }

    private static List<Pair> ordered() {
        List<Pair> pairs = new ArrayList<>();
        for (String[] chain : new String[][] {
            {"stage.CALLUS.begins", "stage.INITIALS.begins", "stage.ROOTED.begins"},
            {"ring.least", "ring.most"},
            {"ball.wall-least", "ball.wall-most"},
            {"bridging.high", "bridging.moderate"},
            {"load.prop-from", "load.too-much-from"},
            {"top-up.least-days", "top-up.most-days"},
            {"window.risky", "window.good"},
            {"limb.leaves-least", "limb.leaves"},
            {"limb.usable-thin", "limb.ideal-thin", "limb.ideal-thick", "limb.usable-thick"},
            {"limb.upright", "limb.leaning"},
            {"balance.least-vpd", "balance.most-vpd"},
            {"tray.water-least", "tray.water-most"},
            {"tray.least", "tray.most"}
        }) {
            for (int i = 0; i + 1 < chain.length; i++) {
                pairs.add(new Pair(Rule.of(chain[i]), Rule.of(chain[i + 1])));
            }
        }
        for (Rule low : Rule.all()) {
            if (low.code().startsWith("hormone-band.") && low.code().endsWith(".low")) {
                pairs.add(new Pair(low, Rule.of(low.code().replace(".low", ".high"))));
            }
        }
        return List.copyOf(pairs);
    }

    /** Two figures that belong together. */
    private record Pair(Rule lesser, Rule greater) {

        void check(double[] values) {
            double low = values[lesser.index()];
            double high = values[greater.index()];
            if (low > high) {
                throw new IllegalArgumentException(lesser.code() + " is " + low + " and " + greater.code() + " is "
                        + high + "; the first must not be above the second");
            }
        }
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof HouseRules that && Arrays.equals(values, that.values);
    }

    @Override
    public int hashCode() {
        return hash;
    }

    @Override
    public String toString() {
        List<String> changed = new ArrayList<>();
        for (Rule rule : Rule.all()) {
            if (of(rule) != rule.shipped()) {
                changed.add(rule.code() + "=" + of(rule));
            }
        }
        return "house rules " + changed;
    }
}
