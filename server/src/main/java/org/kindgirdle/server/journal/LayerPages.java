package org.kindgirdle.server.journal;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.ComingSteps;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.server.nursery.Limbs;
import org.kindgirdle.server.nursery.MotherHistory;
import org.kindgirdle.server.nursery.MotherView;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.security.People;
import org.kindgirdle.server.words.Advice;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Reasons;
import org.kindgirdle.server.words.Words;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts the page of one layer together. */
@Service
class LayerPages {

    private final LayerRepository layers;
    private final LayerEventRepository events;
    private final RecordCodec codec;
    private final Snapshots snapshots;
    private final Limbs limbs;
    private final MotherHistory history;
    private final People people;
    private final CurrentPerson person;
    private final Words words;
    private final Reasons reasons;

    LayerPages(
            LayerRepository layers,
            LayerEventRepository events,
            RecordCodec codec,
            Snapshots snapshots,
            Limbs limbs,
            MotherHistory history,
            People people,
            CurrentPerson person,
            Words words,
            Reasons reasons) {
        this.layers = layers;
        this.events = events;
        this.codec = codec;
        this.snapshots = snapshots;
        this.limbs = limbs;
        this.history = history;
        this.people = people;
        this.person = person;
        this.words = words;
        this.reasons = reasons;
    }

    @Transactional(readOnly = true)
    LayerPage page(String code) {
        Layer layer = layers.findByCode(code).orElseThrow(() -> ProblemException.notFound("layer", code));
        NurserySnapshot nursery = snapshots.take();
        List<LayerEventRow> rows = events.findByLayerIdOrderById(layer.id());
        List<LayerEvent> journal = codec.events(rows);
        LayerContext context = Projections.context(layer, nursery);
        Format format = new Format(person.units(), nursery.today());
        LayerProjection projection = Projections.of(layer, journal, nursery);
        if (projection == null) {
            // it was taken back: show what it would have been, and that it is not
            LayerState first = Replay.of(journal.stream()
                    .filter(event -> event.what() instanceof LayerRecord.Set)
                    .toList());
            LayerProjection was = Projector.project(first, context, nursery.today());
            return page(layer, nursery, context, was, rows, journal, words.withdrawn(), format, false);
        }
        Advice advice = words.advice(projection, context, format);
        return page(layer, nursery, context, projection, rows, journal, advice, format, true);
    }

    private LayerPage page(
            Layer layer,
            NurserySnapshot nursery,
            LayerContext context,
            LayerProjection projection,
            List<LayerEventRow> rows,
            List<LayerEvent> journal,
            Advice advice,
            Format format,
            boolean inForce) {
        LayerState state = projection.state();
        MotherView mother = nursery.mother(layer.motherId);
        SpeciesProfile species = context.species();
        return new LayerPage(
                layer.code,
                layer.revision,
                nursery.today(),
                layer.phase,
                new LayerPage.MotherOf(
                        layer.motherId,
                        mother.code(),
                        mother.variety(),
                        nursery.place(mother.placeId()).name(),
                        layer.setMotherId == layer.motherId
                                ? null
                                : nursery.mother(layer.setMotherId).code(),
                        layer.limbId == null ? null : limbs.one(layer.limbId).name(),
                        history.formerLabels(layer.motherId, state.setOn())),
                new LayerPage.SpeciesOf(species.code(), species.botanical(), species.common(), species.hazards()),
                new LayerPage.RecipeOf(
                        layer.recipeId, nursery.recipe(layer.recipeId).name(), layer.recipeNumber, layer.method),
                state.setOn(),
                state.ringedOn(),
                drawing(projection, context),
                state.stage(),
                state.sectors().densities(),
                state.fillPercent(),
                state.sectors().coverage(),
                state.sectors().widestGapDeg(),
                state.conditions(),
                state.attempts(),
                advice,
                inForce
                        ? projection.alsoDo().stream()
                                .sorted()
                                .map(also -> new LayerPage.Also(
                                        also.name(), words.also(also, projection, context.rules(), format)))
                                .toList()
                        : List.of(),
                inForce ? jobs(projection, layer.method, nursery.today()) : List.of(),
                inForce ? forecast(projection, state, context, nursery.today()) : null,
                reasons.rules(projection.decision(), format),
                reasons.coming(
                        inForce
                                ? ComingSteps.next(state, context, nursery.today())
                                        .orElse(null)
                                : null,
                        format),
                inForce ? reasons.changes(ComingSteps.changes(state, context, nursery.today()), format) : List.of(),
                state.plant() == null
                        ? null
                        : new LayerPage.PlantView(
                                state.plant().severedOn(),
                                state.plant().rung(),
                                state.plant().rungSince(),
                                state.plant().potted(),
                                state.plant().mossSince(),
                                state.plant().ladder()),
                suggested(projection, context, format),
                records(rows, journal, state));
    }

    private static LayerPage.Drawing drawing(LayerProjection projection, LayerContext context) {
        HouseRules rules = context.rules();
        LayerState state = projection.state();
        Cover cover = context.recipe().cover();
        for (LayerState.CoverFrom change : state.covers()) {
            cover = change.cover();
        }
        return new LayerPage.Drawing(
                projection.ball(),
                state.ringMm(),
                RingAndBall.aboveMm(rules),
                RingAndBall.belowMm(rules),
                state.set().position(),
                state.set().wood(),
                state.set().leavesBeyond(),
                state.set().leanDeg(),
                projection.load(),
                state.propped(),
                cover,
                context.recipe().method());
    }

    private List<LayerPage.JobView> jobs(LayerProjection projection, Method method, LocalDate today) {
        return projection.jobs().stream()
                .map(job -> new LayerPage.JobView(
                        job.code(),
                        words.job(job.code(), method),
                        job.from(),
                        job.by(),
                        Math.max(0, ChronoUnit.DAYS.between(job.by(), today))))
                .toList();
    }

    private static LayerPage.@Nullable ForecastView forecast(
            LayerProjection projection, LayerState state, LayerContext context, LocalDate today) {
        LayerProjection.RootForecast forecast = projection.forecast();
        return forecast == null
                ? null
                : new LayerPage.ForecastView(
                        forecast.thermalDays(),
                        forecast.readyP(),
                        forecast.q10(),
                        forecast.q50(),
                        forecast.q90(),
                        forecast.time().records(),
                        forecast.ready().looksAgree(),
                        Projector.readyCurve(state, context, today),
                        forecast.topUpOn());
    }

    private LayerPage.Suggested suggested(LayerProjection projection, LayerContext context, Format format) {
        LayerState state = projection.state();
        LayerProjection.RootForecast forecast = projection.forecast();
        double water = forecast == null
                ? 0
                : forecast.topUp().waterToAddG(ChronoUnit.DAYS.between(state.wateredOn(), format.today()));
        double ring = RingAndBall.of(
                        context.rules(),
                        state.set().diameterMm(),
                        context.species().bridgesReadily(),
                        true)
                .ringMm();
        HardenVerdict hardening = projection.hardening();
        return new LayerPage.Suggested(
                water, ring, hardening == null ? null : hardening.to(), words.firstMedia(context, format));
    }

    private List<LayerPage.RecordView> records(List<LayerEventRow> rows, List<LayerEvent> journal, LayerState state) {
        Set<UUID> counting = Replay.counting(journal);
        Map<UUID, LayerState.Reason> conflicts = state.conflicts().stream()
                .collect(Collectors.toMap(LayerState.Conflict::event, LayerState.Conflict::reason));
        Map<Long, String> names = people.fullNames();
        return rows.stream()
                .sorted(Comparator.comparing((LayerEventRow row) -> row.occurredAt)
                        .thenComparing(row -> row.recordedAt)
                        .thenComparing(row -> row.uuid)
                        .reversed())
                .map(row -> new LayerPage.RecordView(
                        row.uuid,
                        row.kind,
                        row.onDate,
                        row.occurredAt,
                        row.recordedAt,
                        names.getOrDefault(row.personId, "?"),
                        row.corrects,
                        counting.contains(row.uuid),
                        conflicts.get(row.uuid),
                        row.note,
                        codec.tree(row.details),
                        row.verdict == null ? null : codec.tree(row.verdict)))
                .toList();
    }
}
