package org.kindgirdle.server.learn;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.learn.Interval;
import org.kindgirdle.core.learn.LearnedTime;
import org.kindgirdle.core.learn.ReadyCurve;
import org.kindgirdle.server.layers.LayerQuery;
import org.kindgirdle.server.outcomes.Outcomes;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Within;
import org.kindgirdle.server.projection.WhatMoves;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.species.LearnedTimes;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The time to a full ball as the nursery's own records have it, beside what the profile says. */
@Service
class ReadyTimes {

    /** Points of a drawn curve. */
    private static final int POINTS = 60;

    /** A curve is drawn from and to where the fitted ones have this much left. */
    private static final double TAIL = .005;

    private final Outcomes outcomes;
    private final Snapshots snapshots;
    private final LearnedTimes settled;
    private final WhatMoves whatMoves;
    private final CurrentPerson person;
    private static final int KEPT = 64;
    /** By which records it is worked out from, and what is asked of them. */
    private final Cache<Asked, ReadyTimesView> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    private record Asked(String revision, double d50ThermalDays, double sigma, LayerQuery query) {}

    ReadyTimes(
            Outcomes outcomes, Snapshots snapshots, LearnedTimes settled, WhatMoves whatMoves, CurrentPerson person) {
        this.outcomes = outcomes;
        this.snapshots = snapshots;
        this.settled = settled;
        this.whatMoves = whatMoves;
        this.person = person;
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
    record ReadyTimesView(
            String species,
            String common,
            int layers,
            int full,
            List<ReadyStep> steps,
            boolean converged,
            ReadyFit profile,
            ReadyFit learned,
            List<ReadyPoint> curve) {}

    /**
     * What the dates of a species rest on.
     *
     * @param number of the newest decision; 0 for none
     * @param median of the own records that dates rest on; null where they rest on the profile
     */
    record SettledTime(
            long number,
            boolean own,
            @Nullable Double median,
            int records,
            @Nullable String madeBy,
            @Nullable LocalDate madeOn) {}

    /**
     * @param own whether dates are to rest on own records
     * @param number of the newest decision that was seen
     */
    record SettleTime(
            @NotNull Boolean own,
            @NotNull @Within(low = 0, high = 1e15) Long number) {}

    /** @param high null of those that never were seen full */
    record ReadyStep(double low, @Nullable Double high, double readyBy) {}

    /** Median, and the ends of four in five. */
    record ReadyFit(double median, double sigma, double low, double high) {}

    record ReadyPoint(double thermalDays, double profile, double learned) {}

    /**
     * @throws ProblemException if the query is not about one species: thermal days of several are no one time
     */
    @Transactional(readOnly = true)
    public ReadyTimesView of(LayerQuery query) {
        NurserySnapshot nursery = snapshots.take();
        if (query.species() == null || query.species().isBlank()) {
            throw ProblemException.invalid(
                    "species",
                    query.species(),
                    Refusals.say("readyTime.species.allowed"),
                    Refusals.say("readyTime.species"));
        }
        SpeciesProfile profile = nursery.species(query.species()).profile();
        Asked asked = new Asked(outcomes.revision(nursery), profile.d50ThermalDays(), profile.sigma(), query);
        return kept.get(asked, known -> view(profile, outcomes.toReady(query, nursery), nursery));
    }

    private static ReadyTimesView view(SpeciesProfile species, List<Interval> intervals, NurserySnapshot nursery) {
        ReadyCurve curve = intervals.isEmpty() ? null : ReadyCurve.of(intervals);
        RootingTime profile = RootingTime.ofProfile(species);
        RootingTime learned = LearnedTime.from(nursery.rules(), species.d50ThermalDays(), intervals)
                .asRootingTime();
        return new ReadyTimesView(
                species.code(),
                species.common(),
                intervals.size(),
                (int) intervals.stream().filter(one -> !one.isOpen()).count(),
                curve == null
                        ? List.of()
                        : curve.steps().stream()
                                .map(step -> new ReadyStep(
                                        step.low(),
                                        Double.isInfinite(step.high()) ? null : Double.valueOf(step.high()),
                                        step.readyBy()))
                                .toList(),
                curve == null || curve.converged(),
                fit(profile, nursery.rules()),
                fit(learned, nursery.rules()),
                points(profile.prior(nursery.rules()), learned.prior(nursery.rules()), curve));
    }

    private static ReadyFit fit(RootingTime time, HouseRules rules) {
        TimeToReady ready = time.prior(rules);
        return new ReadyFit(time.d50ThermalDays(), time.sigma(), ready.quantile(.1), ready.quantile(.9));
    }

    private static List<ReadyPoint> points(TimeToReady profile, TimeToReady learned, @Nullable ReadyCurve curve) {
        double from = Math.min(profile.quantile(TAIL), learned.quantile(TAIL));
        double to = Math.max(profile.quantile(1 - TAIL), learned.quantile(1 - TAIL));
        if (curve != null) {
            for (ReadyCurve.Step step : curve.steps()) {
                to = step.high() < Double.POSITIVE_INFINITY ? Math.max(to, step.high()) : to;
            }
        }
        List<ReadyPoint> points = new ArrayList<>();
        for (int i = 0; i <= POINTS; i++) {
            double at = from + (to - from) * i / POINTS;
            points.add(new ReadyPoint(at, profile.fullBy(at), learned.fullBy(at)));
        }
        return points;
    }

    /** What the dates of a species rest on now. */
    @Transactional(readOnly = true)
    public SettledTime settled(String speciesCode) {
        snapshots.take().species(speciesCode);
        return settled.of(speciesCode).stream()
                .findFirst()
                .map(one -> new SettledTime(
                        one.number(),
                        one.time() != null,
                        one.time() == null ? null : Double.valueOf(one.time().d50ThermalDays()),
                        one.time() == null ? 0 : one.time().records(),
                        one.madeBy(),
                        one.madeOn()))
                .orElse(new SettledTime(0, false, null, 0, null, null));
    }

    /** What would move if they rested on own records, or on the profile. */
    @Transactional(readOnly = true)
    public WhatMoves.Moves moves(String speciesCode, SettleTime edit) {
        return whatMoves.ofTime(speciesCode, wanted(speciesCode, edit));
    }

    @Transactional
    public SettledTime settle(String speciesCode, SettleTime edit) {
        settled.settle(
                speciesCode,
                wanted(speciesCode, edit),
                edit.number(),
                person.fullName(),
                snapshots.take().today());
        return settled(speciesCode);
    }

    /** What all own records of a species say by now; null for its profile. */
    private @Nullable RootingTime wanted(String speciesCode, SettleTime edit) {
        NurserySnapshot nursery = snapshots.take();
        SpeciesProfile profile = nursery.species(speciesCode).profile();
        if (!edit.own()) {
            return null;
        }
        List<Interval> intervals = outcomes.toReady(LayerQuery.of(speciesCode, null), nursery);
        if (intervals.isEmpty()) {
            throw ProblemException.conflict(
                    Refusals.say("readyTime.none.title"),
                    Refusals.say("readyTime.none", "species", profile.common()),
                    Map.of());
        }
        return LearnedTime.from(nursery.rules(), profile.d50ThermalDays(), intervals)
                .asRootingTime();
    }
}
