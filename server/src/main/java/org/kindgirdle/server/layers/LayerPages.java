package org.kindgirdle.server.layers;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.ComingSteps;
import org.kindgirdle.core.layer.Estimate;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.records.Journals;
import org.kindgirdle.server.records.LayerEventRow;
import org.kindgirdle.server.records.RecordCodec;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.security.People;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.snapshot.Snapshots;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Reasons;
import org.kindgirdle.server.words.Words;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts the page of one layer together, and the cards of many. */
@Service
public class LayerPages {

    private final LayerRows layers;
    private final LayerRecords events;
    private final Journals journals;
    private final RecordCodec codec;
    private final Snapshots snapshots;
    private final LayerCards cards;
    private final People people;
    private final CurrentPerson person;
    private final Reasons reasons;
    private final TakenFromMothers takenFromMothers;
    private final Words words;

    LayerPages(
            LayerRows layers,
            LayerRecords events,
            Journals journals,
            RecordCodec codec,
            Snapshots snapshots,
            LayerCards cards,
            People people,
            CurrentPerson person,
            Reasons reasons,
            TakenFromMothers takenFromMothers,
            Words words) {
        this.layers = layers;
        this.events = events;
        this.journals = journals;
        this.codec = codec;
        this.snapshots = snapshots;
        this.cards = cards;
        this.people = people;
        this.person = person;
        this.reasons = reasons;
        this.takenFromMothers = takenFromMothers;
        this.words = words;
    }

    /** Cards in the order of the codes; a code that no layer has is left out. */
    @Transactional(readOnly = true)
    public List<LayerCard> cards(Collection<String> codes) {
        NurserySnapshot nursery = snapshots.take();
        return cards.of(known(codes, nursery), nursery);
    }

    /**
     * What the stem drawing of a layer in a list is made from.
     *
     * @param severed whether it is off its mother
     */
    public record LayerStem(
            String code,
            LayerCard.Drawing drawing,
            @Nullable List<Integer> sectors,
            @Nullable Double fillPercent,
            RootStage stage,
            boolean severed) {}

    /** In the order of the codes; a code that no layer has is left out. */
    @Transactional(readOnly = true)
    public List<LayerStem> stems(Collection<String> codes) {
        return known(codes, snapshots.take()).stream()
                .map(one -> {
                    LayerState state = one.projection().state();
                    return new LayerStem(
                            one.layer().code(),
                            LayerCards.drawing(one.projection(), one.context()),
                            LayerCards.densities(state),
                            state.fillPercent(),
                            state.stage(),
                            state.plant() != null);
                })
                .toList();
    }

    private List<LayerCards.Known> known(Collection<String> codes, NurserySnapshot nursery) {
        Map<String, Layer> found = layers.findByCodeIn(codes).stream()
                .collect(Collectors.toMap(layer -> layer.code(), Function.identity()));
        Map<Long, List<LayerEvent>> known = journals.of(Layer.ids(found.values()));
        // all is read: what is left are the sums of each by itself
        return codes.parallelStream()
                .map(found::get)
                .filter(Objects::nonNull)
                .map(layer -> LayerCards.Known.of(layer, known.getOrDefault(layer.id(), List.of()), nursery))
                .toList();
    }

    @Transactional(readOnly = true)
    public LayerPage page(String code) {
        Layer layer = layers.findByCode(code).orElseThrow(() -> ProblemException.notFound("layer", code));
        NurserySnapshot nursery = snapshots.take();
        List<LayerEventRow> rows = events.findByLayerIdOrderById(layer.id());
        LayerCards.Known known = LayerCards.Known.of(layer, codec.events(rows), nursery);
        LayerProjection projection = known.projection();
        LayerState state = projection.state();
        LayerContext context = known.context();
        Format format = new Format(person.units(), nursery.today());
        boolean inForce = known.inForce();
        LayerCard card = cards.of(List.of(known), nursery).get(0);
        return new LayerPage(
                card,
                layer.batchId(),
                layer.hand(),
                inForce ? limbLoad(layer, nursery, card.mother().limb(), format) : null,
                inForce ? forecast(projection, state, context, nursery.today()) : null,
                inForce ? Estimate.sinceTheRing(known.journal(), context) : List.of(),
                reasons.rules(projection.decision(), format),
                reasons.coming(
                        inForce
                                ? ComingSteps.next(state, context, nursery.today())
                                        .orElse(null)
                                : null,
                        format),
                inForce ? reasons.changes(ComingSteps.changes(state, context, nursery.today()), format) : List.of(),
                records(rows, known.journal(), state));
    }

    private LayerPage.@Nullable LimbLoad limbLoad(
            Layer layer, NurserySnapshot nursery, @Nullable String limb, Format format) {
        if (layer.limbId() == null || limb == null || layer.phase() != LayerPhase.ON_MOTHER) {
            return null;
        }
        TakenFromMothers.OnLimb on = takenFromMothers.onLimb(layer.limbId(), nursery);
        boolean isLittle = BranchLoad.verdict(nursery.rules(), on.utilisation()) == BranchLoad.Bearing.FINE;
        return isLittle || on.balls().size() < 2
                ? null
                : new LayerPage.LimbLoad(
                        words.limbLoad(limb, on.balls().size(), on.utilisation(), nursery.rules(), format),
                        on.balls().stream().map(ball -> ball.standing().code()).toList());
    }

    private static LayerPage.@Nullable ForecastView forecast(
            LayerProjection projection, LayerState state, LayerContext context, LocalDate today) {
        LayerProjection.RootForecast forecast = projection.forecast();
        return forecast == null
                ? null
                : new LayerPage.ForecastView(
                        forecast.thermalDays(),
                        forecast.ready().fullBy(forecast.thermalDays()),
                        forecast.ready().roots(),
                        forecast.ready().rootsBefore(),
                        forecast.q10(),
                        forecast.q50(),
                        forecast.q90(),
                        forecast.time().records(),
                        Projector.readyCurve(state, context, today),
                        forecast.topUpOn(),
                        forecast.deadline(),
                        forecast.inTimeP());
    }

    private List<LayerPage.RecordView> records(List<LayerEventRow> rows, List<LayerEvent> journal, LayerState state) {
        Set<UUID> counting = Replay.counting(journal);
        Map<UUID, LayerState.Reason> conflicts = state.conflicts().stream()
                .collect(Collectors.toMap(LayerState.Conflict::event, LayerState.Conflict::reason));
        Map<Long, String> names = people.fullNames();
        return rows.stream()
                .sorted(Comparator.comparing((LayerEventRow row) -> row.occurredAt())
                        .thenComparing(row -> row.recordedAt())
                        .thenComparing(row -> row.uuid())
                        .reversed())
                .map(row -> new LayerPage.RecordView(
                        row.uuid(),
                        row.kind(),
                        row.onDate(),
                        row.occurredAt(),
                        row.recordedAt(),
                        names.getOrDefault(row.personId(), "?"),
                        row.corrects(),
                        counting.contains(row.uuid()),
                        conflicts.get(row.uuid()),
                        row.note(),
                        codec.tree(row.details()),
                        row.verdict() == null ? null : codec.tree(row.verdict())))
                .toList();
    }
}
