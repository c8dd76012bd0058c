package org.kindgirdle.core.sever;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.house.Rule;

/**
 * The days of the forecast, the best one for severing first, each with why it is not the best: the lowest vapour
 * pressure deficit among days that are neither hot nor windy nor begin with frost.
 *
 * @param ranked best first; days that will not do come last, those with the fewest objections first, a frozen ball last
 */
public record BestDay(List<Ranked> ranked) {

    private static final Rule WINDY_MS = Rule.of("sever.windy");
    private static final Rule DAYS = Rule.of("sever.days");

    public BestDay {
        ranked = List.copyOf(ranked);
    }

    /** Why a day is not the best. */
    public enum Against {
        HOT,
        WINDY,
        /** a frozen ball can't be cut */
        FREEZING,
        /** it would do, but another is damper */
        DRIER_THAN_THE_BEST
    }

    /**
     * A day and what speaks against it.
     *
     * @param against in the order of the enum; empty for the best day
     * @param moreVpdKpa how much drier it is than the best; null if no day will do
     */
    public record Ranked(
            DayAhead day, List<Against> against, @Nullable Double moreVpdKpa) {

        public Ranked {
            against = List.copyOf(against);
        }

        /** Whether a layer may be severed on it. */
        public boolean willDo() {
            return objections() == 0;
        }

        private long objections() {
            return against.stream()
                    .filter(one -> one != Against.DRIER_THAN_THE_BEST)
                    .count();
        }
    }

    /** @param forecast any number of days, of which the first by date count, as many as the house compares */
    public static BestDay of(HouseRules rules, List<DayAhead> forecast) {
        List<DayAhead> week = forecast.stream()
                .sorted(Comparator.comparing(DayAhead::on))
                .limit(rules.count(DAYS))
                .toList();
        Optional<DayAhead> best = week.stream()
                .filter(day -> objections(rules, day).isEmpty())
                .min(Comparator.comparingDouble(DayAhead::vpdKpa).thenComparing(DayAhead::on));
        List<Ranked> ranked = new ArrayList<>();
        for (DayAhead day : week) {
            List<Against> against = new ArrayList<>(objections(rules, day));
            if (best.isPresent()
                    && !day.equals(best.get())
                    && day.vpdKpa() > best.get().vpdKpa()) {
                against.add(Against.DRIER_THAN_THE_BEST);
            }
            Double more = best.map(one -> day.vpdKpa() - one.vpdKpa()).orElse(null);
            ranked.add(new Ranked(day, against, more));
        }
        ranked.sort(Comparator.comparing((Ranked one) -> one.against().contains(Against.FREEZING))
                .thenComparingLong(Ranked::objections)
                .thenComparingDouble(one -> one.day().vpdKpa())
                .thenComparing(one -> one.day().on()));
        return new BestDay(ranked);
    }

    /** The day to cut; empty if none will do. */
    public Optional<DayAhead> best() {
        return ranked.stream().filter(Ranked::willDo).map(Ranked::day).findFirst();
    }

    /** Where none will do, the one with the least against it; empty where one will do, and of no days. */
    public Optional<Ranked> leastBad() {
        return best().isPresent() ? Optional.empty() : ranked.stream().findFirst();
    }

    private static List<Against> objections(HouseRules rules, DayAhead day) {
        List<Against> against = new ArrayList<>();
        if (day.maxC() > day.hotAboveC()) {
            against.add(Against.HOT);
        }
        if (day.windMs() != null && day.windMs() > rules.of(WINDY_MS)) {
            against.add(Against.WINDY);
        }
        if (day.minC() <= 0) {
            against.add(Against.FREEZING);
        }
        return against;
    }
}
