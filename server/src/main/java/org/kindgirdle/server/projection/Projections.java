package org.kindgirdle.server.projection;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.KeptTime;
import org.kindgirdle.core.growth.TimeToReady;
import org.kindgirdle.core.layer.Job;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.Outcome;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.layer.Unmeasured;
import org.kindgirdle.core.learn.Interval;
import org.kindgirdle.core.set.BridgingRisk;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.server.snapshot.NurserySnapshot;

/** Makes a layer's projection and writes it into its row. */
public final class Projections {

    private Projections() {}

    /** Null if the layer was taken back: no record sets it any more. */
    public static @Nullable LayerProjection of(Layer layer, List<LayerEvent> journal, NurserySnapshot nursery) {
        LayerState state = state(journal);
        return state == null ? null : Projector.project(state, context(layer, state, nursery), nursery.today());
    }

    public static @Nullable LayerState state(List<LayerEvent> journal) {
        var counting = Replay.counting(journal);
        boolean isSet = journal.stream()
                .anyMatch(event -> counting.contains(event.id()) && event.what() instanceof LayerRecord.Setting);
        return isSet ? Replay.of(journal) : null;
    }

    public static LayerContext context(Layer layer, @Nullable LayerState state, NurserySnapshot nursery) {
        LayerState.MadeBy madeBy = state == null ? null : state.madeBy();
        LayerContext onMother = (madeBy == null
                        ? nursery.context(layer.motherId, layer.recipeId, layer.recipeNumber)
                        : nursery.context(layer.motherId, madeBy.recipeId(), madeBy.recipeNumber()))
                .keeping(KeptTime.read(layer.keptTime));
        LayerContext wentOn = madeBy == null ? onMother : onMother.goneOnFrom(before(layer, madeBy, nursery));
        LayerContext goneOn = state == null ? wentOn : wentOn.asRerung(state);
        return state == null || state.placeId() == null ? goneOn : goneOn.standingIn(nursery.climate(state.placeId()));
    }

    private static Recipe before(Layer layer, LayerState.MadeBy madeBy, NurserySnapshot nursery) {
        LayerState.MadeBy earlier = madeBy.before();
        return earlier == null
                ? nursery.recipe(layer.recipeId, layer.recipeNumber)
                : nursery.recipe(earlier.recipeId(), earlier.recipeNumber());
    }

    public static void write(Layer layer, @Nullable LayerProjection projection, int events, NurserySnapshot nursery) {
        happened(layer, projection, events, nursery);
        reckoned(layer, projection, nursery);
    }

    /**
     * Makes a row anew at the versions that it was reckoned by. What a finished layer was reckoned from may have
     * changed since (a place, a mother, weather that came late): then only what its journal says is made anew, and its
     * figures stay as they were when it ended.
     *
     * @param nursery as of the row's day, by the row's versions
     */
    static void rebuild(Layer layer, @Nullable LayerProjection projection, int events, NurserySnapshot nursery) {
        boolean isOver = projection == null || !projection.state().phase().isLive();
        boolean isOfOld = layer.minutes == null;
        happened(layer, projection, events, nursery);
        if (!isOver || isOfOld || nursery.inputs(layer.motherId, layer.standsAt).equals(layer.reckonedFrom)) {
            reckoned(layer, projection, nursery);
        }
    }

    /** What the journal says by itself. */
    private static void happened(
            Layer layer, @Nullable LayerProjection projection, int events, NurserySnapshot nursery) {
        layer.revision = events;
        layer.method = nursery.recipe(layer.recipeId, layer.recipeNumber).method();
        if (projection == null) {
            layer.phase = LayerPhase.WITHDRAWN;
            layer.standsAt = null;
            layer.cutOn = null;
            nothingCame(layer);
            return;
        }
        LayerState state = projection.state();
        LayerContext context = context(layer, state, nursery);
        Outcome outcome = Outcome.of(state, context);
        layer.method = context.recipe().method();
        layer.hand = Objects.requireNonNullElse(state.set().hand(), "");
        layer.setOn = state.setOn();
        layer.phase = state.phase();
        layer.stage = state.stage();
        layer.fillPercent = state.fillPercent();
        layer.conflicts = state.conflicts().size();
        layer.standsAt = state.placeId();
        layer.cutOn = state.cutPlannedOn();
        layer.rung = state.plant() == null ? null : state.plant().rung();
        layer.wood = code(state.set().wood());
        layer.position = code(state.set().position());
        layer.wound = context.recipe().wound().name();
        layer.hormonePpm = context.recipe().hormonePpm();
        layer.medium = context.recipe().medium().name();
        layer.rooted = outcome.rooted();
        layer.established = outcome.established();
        layer.lossCause = state.lossCause();
        layer.fullOn = outcome.fullOn();
        layer.severedOn = outcome.severedOn();
        layer.endedOn = outcome.endedOn();
    }

    /** Empty where nobody said. */
    private static String code(@Nullable Enum<?> said) {
        return said == null ? "" : said.name();
    }

    /** By the ring as it was cut. */
    private static String bridging(LayerState state, LayerContext context) {
        boolean isMeasured = !state.unmeasured().contains(Unmeasured.RING);
        double ring = context.ringMm(state);
        return isMeasured && ring > 0
                ? BridgingRisk.of(
                                context.rules(),
                                context.recipe().isScraped(),
                                ring,
                                state.set().diameterMm())
                        .name()
                : "";
    }

    /** What follows from the journal by the climate, the recipe, the profile and the rules. */
    private static void reckoned(Layer layer, @Nullable LayerProjection projection, NurserySnapshot nursery) {
        layer.asOf = nursery.today();
        layer.profileNumber =
                nursery.species(nursery.mother(layer.motherId).speciesCode()).profileNumber();
        layer.rulesNumber = nursery.rulesNumber();
        layer.reckonedFrom = nursery.inputs(layer.motherId, layer.standsAt);
        if (projection == null) {
            layer.step = null;
            layer.alsoDo = Set.of();
            dates(layer, null, null, null);
            job(layer, null);
            layer.readyLow = null;
            layer.readyHigh = null;
            layer.minutes = 0.0;
            return;
        }
        layer.step = projection.verdict() != null
                ? projection.verdict().step().name()
                : projection.hardening() != null ? projection.hardening().step().name() : null;
        layer.alsoDo = Set.copyOf(projection.alsoDo());
        LayerProjection.RootForecast forecast = projection.forecast();
        if (forecast == null) {
            dates(layer, null, null, null);
            layer.keptTime = null;
        } else {
            keep(layer, forecast.ready());
            dates(layer, forecast.q10(), forecast.q50(), forecast.q90());
        }
        job(layer, projection.nextJob());
        LayerContext context = context(layer, projection.state(), nursery);
        Outcome outcome = Outcome.of(projection.state(), context);
        layer.bridging = bridging(projection.state(), context);
        Interval toReady = outcome.toReady();
        layer.readyLow = toReady == null ? null : Double.valueOf(toReady.low());
        layer.readyHigh = toReady == null || toReady.isOpen() ? null : Double.valueOf(toReady.high());
        layer.minutes = outcome.minutes();
        layer.mediumMl = projection.ball().mediumMl();
        layer.filmCm2 = projection.ball().filmCm2();
    }

    /** Only what is new is written: the same bytes in another array would be a change to whoever compares rows. */
    private static void keep(Layer layer, TimeToReady ready) {
        TimeToReady kept = KeptTime.read(layer.keptTime);
        if (!ready.equals(kept)) {
            layer.keptTime = KeptTime.bytes(ready);
        }
    }

    private static void nothingCame(Layer layer) {
        layer.rooted = null;
        layer.established = null;
        layer.lossCause = null;
        layer.fullOn = null;
        layer.severedOn = null;
        layer.endedOn = null;
    }

    private static void dates(Layer layer, @Nullable LocalDate q10, @Nullable LocalDate q50, @Nullable LocalDate q90) {
        layer.ready10On = q10;
        layer.ready50On = q50;
        layer.ready90On = q90;
    }

    private static void job(Layer layer, @Nullable Job job) {
        layer.job = job == null ? null : job.code();
        layer.jobFrom = job == null ? null : job.from();
        layer.jobBy = job == null ? null : job.by();
    }
}
