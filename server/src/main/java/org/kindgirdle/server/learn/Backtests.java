package org.kindgirdle.server.learn;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.learn.Hindsight;
import org.kindgirdle.core.learn.Share;
import org.kindgirdle.server.layers.LayerQuery;
import org.kindgirdle.server.outcomes.Outcomes;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The dates as they were said, held against what happened. */
@Service
class Backtests {

    /** A range of four in five that is honest holds so often. */
    static final double PROMISED = .8;

    private final Outcomes outcomes;
    private final Snapshots snapshots;
    private static final int KEPT = 64;
    /** By which records it is worked out from, and what is asked of them. */
    private final Cache<Asked, BacktestView> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    private record Asked(String revision, LayerQuery query) {}

    Backtests(Outcomes outcomes, Snapshots snapshots) {
        this.outcomes = outcomes;
        this.snapshots = snapshots;
    }

    /**
     * @param promised how often a range should hold
     * @param lines by species, that with most layers first
     */
    record BacktestView(double promised, List<BacktestLine> lines, BacktestLine all) {}

    /** @param species code; empty for all of them */
    record BacktestLine(
            String species, @Nullable String common, int layers, Calibration atSetting, Calibration atLooks) {}

    /**
     * How good the dates were that were said at one kind of moment: each layer counts once.
     *
     * @param held layers whose ranges of four in five did; one that the looks leave open counts in part
     * @param early those that were full before the range, {@code late} after it
     * @param meanDays that the balls were later than the likeliest day, on average; below 0 earlier; null of none
     * @param offDays that they were off it, either way, on average
     * @param honest whether the promise lies within the interval of what held
     */
    record Calibration(
            LedgerView.LedgerFigure held,
            int early,
            int late,
            @Nullable Double meanDays,
            @Nullable Double offDays,
            boolean honest) {}

    @Transactional(readOnly = true)
    public BacktestView of(LayerQuery query) {
        NurserySnapshot nursery = snapshots.take();
        return kept.get(new Asked(outcomes.revision(nursery), query), asked -> worked(query, nursery));
    }

    private BacktestView worked(LayerQuery query, NurserySnapshot nursery) {
        List<Outcomes.Foretold> all = outcomes.foretold(query, nursery);
        Map<String, List<Outcomes.Foretold>> bySpecies = all.stream()
                .collect(Collectors.groupingBy(
                        one -> nursery.mother(one.motherId()).speciesCode(), LinkedHashMap::new, Collectors.toList()));
        return new BacktestView(
                PROMISED,
                bySpecies.entrySet().stream()
                        .map(one -> line(
                                one.getKey(),
                                nursery.species(one.getKey()).profile().common(),
                                one.getValue()))
                        .sorted(Comparator.comparingInt(BacktestLine::layers)
                                .reversed()
                                .thenComparing(BacktestLine::species))
                        .toList(),
                line("", null, all));
    }

    private static BacktestLine line(String species, @Nullable String common, List<Outcomes.Foretold> layers) {
        return new BacktestLine(species, common, layers.size(), calibration(layers, true), calibration(layers, false));
    }

    private static Calibration calibration(List<Outcomes.Foretold> layers, boolean atSetting) {
        double held = 0;
        double early = 0;
        List<Double> days = new ArrayList<>();
        List<Double> off = new ArrayList<>();
        for (Outcomes.Foretold one : layers) {
            List<Hindsight.Said> said = one.said().stream()
                    .filter(date -> date.atSetting() == atSetting)
                    .map(Outcomes.Said::dates)
                    .toList();
            if (said.isEmpty()) {
                continue;
            }
            // what was said of one layer at several looks came true or not together: it counts once
            double once = 1.0 / said.size();
            double late = 0;
            double away = 0;
            for (Hindsight.Said dates : said) {
                double by = one.happened().lateByDays(dates);
                double within = one.happened().held(dates);
                held += within * once;
                early += by < 0 ? (1 - within) * once : 0;
                late += by * once;
                away += Math.abs(by) * once;
            }
            days.add(late);
            off.add(away);
        }
        Share share = new Share((int) Math.round(held), days.size());
        return new Calibration(
                Ledger.figure(share),
                (int) Math.round(early),
                (int) Math.round(days.size() - held - early),
                mean(days),
                mean(off),
                share.low() <= PROMISED && PROMISED <= share.high());
    }

    private static @Nullable Double mean(List<Double> all) {
        return all.isEmpty()
                ? null
                : Double.valueOf(
                        all.stream().mapToDouble(Double::doubleValue).average().orElse(0));
    }
}
