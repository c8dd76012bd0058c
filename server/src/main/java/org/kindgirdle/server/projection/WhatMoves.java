package org.kindgirdle.server.projection;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootingTime;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.verdict.Verdict;
import org.kindgirdle.server.records.Journals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a change of rules, of a profile or of what dates rest on would do to the live layers, before it is made. */
@Service
public class WhatMoves {

    private static final int SHOWN = 20;

    private final LayerRepository layers;
    private final Journals journals;
    private final Snapshots snapshots;

    WhatMoves(LayerRepository layers, Journals journals, Snapshots snapshots) {
        this.layers = layers;
        this.journals = journals;
        this.snapshots = snapshots;
    }

    /**
     * @param live how many layers are under way
     * @param steps how many of them would get another step
     * @param dates how many would get another likeliest day
     * @param moves those that move most, at most twenty
     */
    public record Moves(int live, int steps, int dates, List<Move> moves) {}

    /**
     * One layer.
     *
     * @param days that its likeliest day moves by; null where one of the two lies beyond the horizon, or it has none
     */
    public record Move(
            String code,
            @Nullable String stepNow,
            @Nullable String stepThen,
            @Nullable LocalDate likeliestNow,
            @Nullable LocalDate likeliestThen,
            @Nullable Long days) {

        boolean isOfStep() {
            return !Objects.equals(stepNow, stepThen);
        }

        boolean isOfDate() {
            return !Objects.equals(likeliestNow, likeliestThen);
        }

        private long far() {
            return (isOfStep() ? 10_000 : 0) + (days == null ? 5000 : Math.abs(days));
        }
    }

    @Transactional(readOnly = true)
    public Moves ofRules(HouseRules rules) {
        NurserySnapshot now = snapshots.take();
        return moves(now, now.with(rules));
    }

    @Transactional(readOnly = true)
    public Moves ofProfile(SpeciesProfile profile) {
        NurserySnapshot now = snapshots.take();
        return moves(now, now.with(profile));
    }

    /** @param time to go by; null for the profile's */
    @Transactional(readOnly = true)
    public Moves ofTime(String speciesCode, @Nullable RootingTime time) {
        NurserySnapshot now = snapshots.take();
        return moves(now, now.with(speciesCode, time));
    }

    private Moves moves(NurserySnapshot now, NurserySnapshot then) {
        List<Layer> live = layers.findByPhaseInOrderById(Reprojection.LIVE);
        Map<Long, List<LayerEvent>> journals = this.journals.of(Layer.ids(live));
        List<Move> moves = new ArrayList<>();
        for (Layer layer : live) {
            LayerState state = Projections.state(journals.getOrDefault(layer.id(), List.of()));
            if (state != null) {
                moves.add(move(
                        layer.code,
                        Projector.project(state, Projections.context(layer, state, now), now.today()),
                        Projector.project(state, Projections.context(layer, state, then), then.today())));
            }
        }
        return new Moves(
                live.size(),
                (int) moves.stream().filter(Move::isOfStep).count(),
                (int) moves.stream().filter(Move::isOfDate).count(),
                moves.stream()
                        .filter(move -> move.isOfStep() || move.isOfDate())
                        .sorted(Comparator.comparingLong(Move::far).reversed().thenComparing(Move::code))
                        .limit(SHOWN)
                        .toList());
    }

    private static Move move(String code, LayerProjection now, LayerProjection then) {
        LocalDate nowOn = likeliest(now);
        LocalDate thenOn = likeliest(then);
        return new Move(
                code,
                step(now),
                step(then),
                nowOn,
                thenOn,
                nowOn == null || thenOn == null ? null : ChronoUnit.DAYS.between(nowOn, thenOn));
    }

    private static @Nullable LocalDate likeliest(LayerProjection projection) {
        return projection.forecast() == null ? null : projection.forecast().q50();
    }

    private static @Nullable String step(LayerProjection projection) {
        Verdict<?, ?> decision = projection.decision();
        return decision == null ? null : decision.step().name();
    }
}
