package org.kindgirdle.server.learn;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.learn.Interval;
import org.kindgirdle.core.learn.LearnedTime;
import org.kindgirdle.core.learn.ReadyCurve;
import org.kindgirdle.server.journal.LayerQuery;
import org.kindgirdle.server.journal.NurserySnapshot;
import org.kindgirdle.server.journal.Outcomes;
import org.kindgirdle.server.journal.Snapshots;
import org.kindgirdle.server.problem.ProblemException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The time to a full ball as the nursery's own records have it, beside what the profile says. */
@Service
class ReadyTimes {

    /** Points of a drawn curve. */
    private static final int POINTS = 60;

    /** Curves that are kept. */
    private static final int KEPT = 64;

    /** A curve is drawn from and to where the fitted ones have this much left. */
    private static final double TAIL = .005;

    private final Outcomes outcomes;
    private final Snapshots snapshots;
    private final Map<String, View> kept = new LinkedHashMap<>(KEPT, .75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, View> eldest) {
            return size() > KEPT;
        }
    };

    ReadyTimes(Outcomes outcomes, Snapshots snapshots) {
        this.outcomes = outcomes;
        this.snapshots = snapshots;
    }

    /**
     * Of one species.
     *
     * @param layers whose looks say something; {@code full} of them were seen full
     * @param steps what the looks leave of the curve with no shape assumed; empty without records
     * @param converged whether the steps are the likeliest
     * @param profile and {@code learned}, each as a lognormal, thermal days
     * @param curve of both, at the same thermal days
     */
    record View(
            String species,
            String common,
            int layers,
            int full,
            List<Step> steps,
            boolean converged,
            Fit profile,
            Fit learned,
            List<Point> curve) {}

    /** @param high null of those that never were seen full */
    record Step(double low, @Nullable Double high, double readyBy) {}

    /** Median, and the ends of four in five. */
    record Fit(double median, double sigma, double low, double high) {}

    record Point(double thermalDays, double profile, double learned) {}

    /** What intervals teach, of a plant whose profile says {@code d50}. */
    record Taught(double mu, double sigma, double medianThermalDays, int records) {}

    /**
     * @throws ProblemException if the query is not about one species: thermal days of several are no one time
     */
    @Transactional(readOnly = true)
    public View of(LayerQuery query) {
        NurserySnapshot nursery = snapshots.take();
        if (query.species() == null || query.species().isBlank()) {
            throw ProblemException.invalid(
                    "species", query.species(), "the code of a species", "Choose one: each has a time of its own.");
        }
        SpeciesProfile profile = nursery.species(query.species()).profile();
        String key = outcomes.revision(nursery) + " " + profile.d50ThermalDays() + " " + profile.sigma() + " " + query;
        return once(key, () -> view(profile, outcomes.toReady(query, nursery), nursery));
    }

    /** A curve that was drawn from the same records is not drawn again. */
    private View once(String key, Supplier<View> draw) {
        synchronized (kept) {
            View known = kept.get(key);
            if (known != null) {
                return known;
            }
        }
        View drawn = draw.get();
        synchronized (kept) {
            kept.put(key, drawn);
        }
        return drawn;
    }

    private static View view(SpeciesProfile species, List<Interval> intervals, NurserySnapshot nursery) {
        ReadyCurve curve = intervals.isEmpty() ? null : ReadyCurve.of(intervals);
        RootingTime profile = RootingTime.ofProfile(species);
        RootingTime learned = LearnedTime.from(nursery.rules(), species.d50ThermalDays(), intervals)
                .asRootingTime();
        return new View(
                species.code(),
                species.common(),
                intervals.size(),
                (int) intervals.stream().filter(one -> !one.isOpen()).count(),
                curve == null
                        ? List.of()
                        : curve.steps().stream()
                                .map(step -> new Step(
                                        step.low(),
                                        Double.isInfinite(step.high()) ? null : Double.valueOf(step.high()),
                                        step.readyBy()))
                                .toList(),
                curve == null || curve.converged(),
                fit(profile),
                fit(learned),
                points(profile.prior(), learned.prior(), curve));
    }

    private static Fit fit(RootingTime time) {
        TimeToReady ready = time.prior();
        return new Fit(time.d50ThermalDays(), time.sigma(), ready.quantile(.1), ready.quantile(.9));
    }

    private static List<Point> points(TimeToReady profile, TimeToReady learned, @Nullable ReadyCurve curve) {
        double from = Math.min(profile.quantile(TAIL), learned.quantile(TAIL));
        double to = Math.max(profile.quantile(1 - TAIL), learned.quantile(1 - TAIL));
        if (curve != null) {
            for (ReadyCurve.Step step : curve.steps()) {
                to = step.high() < Double.POSITIVE_INFINITY ? Math.max(to, step.high()) : to;
            }
        }
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= POINTS; i++) {
            double at = from + (to - from) * i / POINTS;
            points.add(new Point(at, profile.readyBy(at), learned.readyBy(at)));
        }
        return points;
    }

    Taught taught(double d50, List<Interval> intervals) {
        LearnedTime time = LearnedTime.from(snapshots.take().rules(), d50, intervals);
        return new Taught(time.mu(), time.sigma(), time.medianThermalDays(), time.records());
    }
}
