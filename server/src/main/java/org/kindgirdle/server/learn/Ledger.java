package org.kindgirdle.server.learn;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.learn.Share;
import org.kindgirdle.core.plan.Cost;
import org.kindgirdle.core.plan.Effort;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.ShoppingList;
import org.kindgirdle.server.layers.LayerQuery;
import org.kindgirdle.server.outcomes.Outcomes;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.supplies.PriceLists;
import org.kindgirdle.server.supplies.PricesView;
import org.kindgirdle.server.supplies.Supplies;
import org.kindgirdle.server.supplies.SuppliesView;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What worked: layers counted by what they have in common. */
@Service
class Ledger {

    private static final Rule FEW = Rule.of("ledger.few");

    private final Outcomes outcomes;
    private final Snapshots snapshots;
    private final PriceLists prices;
    private final Supplies supplies;

    Ledger(Outcomes outcomes, Snapshots snapshots, PriceLists prices, Supplies supplies) {
        this.outcomes = outcomes;
        this.snapshots = snapshots;
        this.prices = prices;
        this.supplies = supplies;
    }

    /** Sums of a line, with what its materials and its work cost. */
    private record Priced(Outcomes.Sums sums, double cost) {

        Priced plus(Priced more) {
            return new Priced(sums.plus(more.sums), cost + more.cost);
        }
    }

    @Transactional(readOnly = true)
    public LedgerView.LedgerTable table(LedgerBy by, LayerQuery query) {
        NurserySnapshot nursery = snapshots.take();
        PricesView paid = prices.get();
        SuppliesView house = supplies.get();
        Set<String> unpriced = new TreeSet<>();
        Map<String, Priced> lines = new HashMap<>();
        Priced all = new Priced(Outcomes.Sums.none(), 0);
        for (Map.Entry<Outcomes.Key, Outcomes.Sums> one :
                outcomes.by(by.apart(), query, nursery).entrySet()) {
            Recipe recipe = nursery.recipe(one.getKey().recipeId(), one.getKey().recipeNumber());
            Cost cost = cost(one.getValue(), recipe, nursery, paid, house);
            unpriced.addAll(cost.unpriced());
            Priced priced = new Priced(one.getValue(), cost.total());
            lines.merge(by.value(one.getKey(), nursery), priced, Priced::plus);
            all = all.plus(priced);
        }
        return new LedgerView.LedgerTable(
                by,
                by.filter(),
                lines.entrySet().stream()
                        .map(one -> line(one.getKey(), label(by, one.getKey(), nursery), one.getValue()))
                        .sorted(order(by))
                        .toList(),
                line("", null, all),
                nursery.rules().count(FEW),
                paid.currency(),
                List.copyOf(unpriced));
    }

    private static Cost cost(
            Outcomes.Sums sums, Recipe recipe, NurserySnapshot nursery, PricesView paid, SuppliesView house) {
        RingAndBall each = new RingAndBall(0, 0, 0, 0, sums.mediumMl() / sums.set(), sums.filmCm2() / sums.set());
        ShoppingList list = ShoppingList.of(
                nursery.rules(),
                List.of(new ShoppingList.Batch(
                        sums.set(),
                        each,
                        recipe,
                        house.mix(recipe.medium()),
                        Effort.minutesToSet(nursery.rules(), recipe.isReadyBag()))));
        return Cost.of(paid.prices(), list, sums.minutes());
    }

    /** In the order of time where there is one; else what was set most comes first. */
    private static Comparator<LedgerView.LedgerLine> order(LedgerBy by) {
        return switch (by) {
            case WEEK, YEAR, HORMONE -> Comparator.comparingDouble(line -> number(line.value()));
            default ->
                Comparator.comparingInt(LedgerView.LedgerLine::set)
                        .reversed()
                        .thenComparing(LedgerView.LedgerLine::value);
        };
    }

    private static double number(String value) {
        return value.isEmpty() ? 0 : Double.parseDouble(value);
    }

    /** What a code stands for where only the nursery knows. */
    private static @Nullable String label(LedgerBy by, String value, NurserySnapshot nursery) {
        return switch (by) {
            case SPECIES -> nursery.species(value).profile().common();
            case MOTHER -> nursery.mother(Long.parseLong(value)).code();
            case PLACE -> nursery.place(Long.parseLong(value)).name();
            case RECIPE -> nursery.recipe(Long.parseLong(value)).name();
            default -> null;
        };
    }

    private static LedgerView.LedgerLine line(String value, @Nullable String label, Priced priced) {
        Outcomes.Sums sums = priced.sums();
        int released = sums.established();
        List<LedgerView.LossCount> causes = new ArrayList<>();
        sums.causes().forEach((cause, count) -> causes.add(new LedgerView.LossCount(cause, count)));
        causes.sort(Comparator.comparingInt(LedgerView.LossCount::count)
                .reversed()
                .thenComparing(LedgerView.LossCount::cause));
        return new LedgerView.LedgerLine(
                value,
                label,
                sums.set(),
                sums.set() - sums.notRooted() - sums.established() - sums.lostAfter(),
                figure(new Share(sums.rooted(), sums.rooted() + sums.notRooted())),
                figure(new Share(sums.established(), sums.established() + sums.lostAfter())),
                days(sums.daysToFull()),
                sums.minutes(),
                priced.cost(),
                released == 0 ? null : Double.valueOf(sums.minutes() / released),
                released == 0 ? null : Double.valueOf(priced.cost() / released),
                causes);
    }

    static LedgerView.LedgerFigure figure(Share share) {
        return new LedgerView.LedgerFigure(
                share.successes(),
                share.n(),
                share.n() == 0 ? null : Double.valueOf(share.value()),
                share.low(),
                share.high());
    }

    private static LedgerView.@Nullable DaysToFull days(TreeMap<Integer, Integer> counts) {
        int seen = counts.values().stream().mapToInt(Integer::intValue).sum();
        return seen == 0
                ? null
                : new LedgerView.DaysToFull(seen, at(counts, seen, .1), at(counts, seen, .5), at(counts, seen, .9));
    }

    /** The smallest that a share of them does not exceed. */
    private static int at(TreeMap<Integer, Integer> counts, int all, double share) {
        int below = 0;
        for (Map.Entry<Integer, Integer> one : counts.entrySet()) {
            below += one.getValue();
            if (below >= share * all) {
                return one.getKey();
            }
        }
        return counts.lastKey();
    }
}
