package org.kindgirdle.server.set;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.plan.SettingWindows;
import org.kindgirdle.core.set.BridgingRisk;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.sever.LeafBalance;
import org.kindgirdle.core.sever.Shelter;
import org.kindgirdle.core.verdict.Level;
import org.kindgirdle.server.journal.LayerJournal;
import org.kindgirdle.server.journal.NurserySnapshot;
import org.kindgirdle.server.journal.Snapshots;
import org.kindgirdle.server.nursery.MotherView;
import org.kindgirdle.server.nursery.RecipeView;
import org.kindgirdle.server.plan.Remark;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Violation;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reckons layers before they are set, and sets them. */
@Service
class Bench {

    private final Snapshots snapshots;
    private final LayerJournal journal;
    private final SetRemarks remarks;
    private final BusinessClock clock;

    Bench(Snapshots snapshots, LayerJournal journal, SetRemarks remarks, BusinessClock clock) {
        this.snapshots = snapshots;
        this.journal = journal;
        this.remarks = remarks;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    SetPreview preview(SetRequest request) {
        NurserySnapshot nursery = snapshots.take();
        LocalDate setOn = setOn(request, nursery);
        MotherView mother = nursery.mother(request.motherId());
        RecipeView recipe = nursery.recipe(request.recipeId());
        LayerContext context = nursery.context(request.motherId(), request.recipeId(), recipe.number());
        List<LayerProjection> layers = request.rows().stream()
                .map(row -> project(record(row, recipe.school(), context), context, setOn))
                .toList();
        SettingWindows windows = context.windows(
                context.recipe().cover(), layers.get(0).factors().speed(), recipe.school(), RootStage.NONE);
        List<Remark> said = remarks.of(request, layers, mother, context, windows, setOn, nursery);
        return new SetPreview(
                setOn,
                windows.on(setOn),
                said,
                layers.stream().map(layer -> row(layer, context)).toList());
    }

    /** @return the codes of the new layers, in the order of the rows */
    @Transactional
    List<String> set(UUID batchId, SetRequest request) {
        SetPreview preview = preview(request);
        String reason = request.reason() == null ? "" : request.reason().strip();
        if (preview.isBlocked() || preview.isWarned() && reason.isEmpty()) {
            Level level = preview.isBlocked() ? Level.BLOCK : Level.WARN;
            throw ProblemException.invalid(preview.remarks().stream()
                    .filter(remark -> remark.level() == level)
                    .map(remark -> new Violation(
                            level == Level.BLOCK ? "motherId" : "reason",
                            level == Level.BLOCK ? request.motherId() : reason,
                            level == Level.BLOCK ? "a mother that may be cloned" : "a reason for going on",
                            remark.sentence()))
                    .toList());
        }
        NurserySnapshot nursery = snapshots.take();
        RecipeView recipe = nursery.recipe(request.recipeId());
        LayerContext context = nursery.context(request.motherId(), request.recipeId(), recipe.number());
        Instant at = occurredAt(preview.setOn(), nursery.today());
        return journal.set(
                batchId,
                request.rows().stream()
                        .map(row -> new LayerJournal.NewLayer(
                                request.motherId(),
                                row.limbId(),
                                request.recipeId(),
                                recipe.number(),
                                record(row, recipe.school(), context),
                                at,
                                reason))
                        .toList());
    }

    private static LocalDate setOn(SetRequest request, NurserySnapshot nursery) {
        LocalDate setOn = request.setOn() == null ? nursery.today() : request.setOn();
        LocalDate earliest = nursery.today().minusYears(3);
        if (setOn.isAfter(nursery.today()) || setOn.isBefore(earliest)) {
            throw ProblemException.invalid(
                    "setOn",
                    setOn.toString(),
                    "from " + earliest + " to " + nursery.today(),
                    "A layer is recorded on the day it is set, or later.");
        }
        return setOn;
    }

    /** Noon of a past day: the hour is not known. Now, if it is today. */
    private Instant occurredAt(LocalDate setOn, LocalDate today) {
        return setOn.equals(today)
                ? clock.now()
                : setOn.atTime(LocalTime.NOON).atZone(clock.zone()).toInstant();
    }

    private static LayerRecord.Set record(SetRequest.RowRequest row, School school, LayerContext context) {
        boolean cut = context.recipe().wound().isRing();
        double ring = cut
                ? RingAndBall.of(
                                context.rules(),
                                row.diameterMm(),
                                context.species().bridgesReadily(),
                                false)
                        .ringMm()
                : 0;
        return new LayerRecord.Set(
                row.diameterMm(),
                ring,
                row.wood(),
                row.position(),
                row.leavesBeyond(),
                row.fromUnionMm(),
                row.leanDeg(),
                row.school() == null ? school : row.school(),
                row.specimen(),
                row.fruitToKeep());
    }

    private static LayerProjection project(LayerRecord.Set set, LayerContext context, LocalDate setOn) {
        Instant noon = setOn.atTime(LocalTime.NOON).toInstant(ZoneOffset.UTC);
        LayerEvent event = new LayerEvent(new UUID(0, 0), setOn, noon, noon, null, set);
        return Projector.project(Replay.of(List.of(event)), context, setOn);
    }

    private SetPreview.Row row(LayerProjection layer, LayerContext context) {
        LayerProjection.RootForecast forecast = Objects.requireNonNull(layer.forecast());
        LeafBalance leaf = leafAtSeverance(layer, context, forecast.q50());
        return new SetPreview.Row(
                layer.ball(),
                RingAndBall.aboveMm(context.rules()),
                RingAndBall.belowMm(context.rules()),
                BridgingRisk.of(
                        context.rules(),
                        context.recipe().isScraped(),
                        layer.ball().ringMm(),
                        layer.ball().diameterMm()),
                layer.load(),
                layer.factors().hormoneFit(),
                forecast.q10(),
                forecast.q50(),
                forecast.q90(),
                forecast.topUp().intervalDays(),
                forecast.topUp().unsuitable(),
                leaf.keep(),
                leaf.remove());
    }

    /** What the leaves beyond the ring will ask of the roots, on a usual day of the time when it is likely to be full. */
    private static LeafBalance leafAtSeverance(
            LayerProjection layer, LayerContext context, @Nullable LocalDate readyOn) {
        return LeafBalance.of(
                context.rules(),
                LeafBalance.supplyCm2PerMl(context.rules()),
                layer.ball().mediumMl(),
                1,
                RootStage.FILLED,
                layer.state().set().leavesBeyond(),
                context.species().leafCm2(),
                context.climate().vpdKpaOn(readyOn == null ? layer.state().setOn() : readyOn),
                Shelter.MIST_TENT);
    }
}
