package org.kindgirdle.server.layers;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.harden.HardenVerdict;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerRecord;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.layer.Projector;
import org.kindgirdle.core.layer.Replay;
import org.kindgirdle.core.look.Sectors;
import org.kindgirdle.core.plan.GrowingYears;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.server.mothers.Limbs;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.projection.Projections;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.kindgirdle.server.words.Advice;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Words;
import org.springframework.stereotype.Component;

/** Makes the cards of layers; those of many in a handful of statements. */
@Component
class LayerCards {

    private final Limbs limbs;
    private final CurrentPerson person;
    private final Words words;

    LayerCards(Limbs limbs, CurrentPerson person, Words words) {
        this.limbs = limbs;
        this.person = person;
        this.words = words;
    }

    /**
     * A layer as of today.
     *
     * @param projection of a layer that was taken back: what it would have been
     * @param inForce false if it was taken back
     */
    record Known(
            Layer layer, List<LayerEvent> journal, LayerContext context, LayerProjection projection, boolean inForce) {

        static Known of(Layer layer, List<LayerEvent> journal, NurserySnapshot nursery) {
            LayerProjection projection = Projections.of(layer, journal, nursery);
            LayerContext context = Projections.context(layer, projection == null ? null : projection.state(), nursery);
            if (projection != null) {
                return new Known(layer, journal, context, projection, true);
            }
            LayerState first = Replay.of(journal.stream()
                    .filter(event -> event.what() instanceof LayerRecord.Setting)
                    .toList());
            return new Known(layer, journal, context, Projector.project(first, context, nursery.today()), false);
        }
    }

    /** In the order given. */
    List<LayerCard> of(List<Known> some, NurserySnapshot nursery) {
        Map<Long, String> limbNames = limbs.names(some.stream()
                .map(one -> one.layer().limbId())
                .filter(Objects::nonNull)
                .distinct()
                .toList());
        Format format = new Format(person.units(), nursery.today());
        // all is read: what is left are sums and words of each by itself
        return some.parallelStream()
                .map(one -> card(one, nursery, limbNames, format))
                .toList();
    }

    private LayerCard card(Known one, NurserySnapshot nursery, Map<Long, String> limbNames, Format format) {
        Layer layer = one.layer();
        LayerProjection projection = one.projection();
        LayerContext context = one.context();
        LayerState state = projection.state();
        Sectors sectors = state.sectors();
        MotherView mother = nursery.mother(layer.motherId());
        SpeciesProfile species = context.species();
        Advice advice = one.inForce() ? words.advice(projection, context, format) : words.withdrawn();
        return LayerCardBuilder.builder()
                .code(layer.code())
                .revision(layer.revision())
                .asOf(nursery.today())
                .phase(layer.phase())
                .mother(new LayerCard.MotherOf(
                        layer.motherId(),
                        mother.code(),
                        mother.variety(),
                        nursery.place(layer.standsAt() == null ? mother.placeId() : layer.standsAt())
                                .name(),
                        layer.setMotherId() == layer.motherId()
                                ? null
                                : nursery.mother(layer.setMotherId()).code(),
                        layer.limbId() == null ? null : limbNames.get(layer.limbId()),
                        nursery.formerLabels(layer.motherId()).stream()
                                .filter(label -> !label.until().isBefore(state.setOn()))
                                .toList()))
                .species(new LayerCard.SpeciesOf(
                        species.code(), species.botanical(), species.common(), species.hazards()))
                .recipe(recipe(layer, state, nursery))
                .setOn(state.setOn())
                .ringedOn(state.ringedOn())
                .lookedOn(
                        state.looks().isEmpty()
                                ? null
                                : state.looks().get(state.looks().size() - 1).on())
                .drawing(drawing(projection, context))
                .stage(state.stage())
                .sectors(densities(state))
                .fillPercent(state.fillPercent())
                .coverage(sectors == null ? null : sectors.coverage())
                .widestGapDeg(sectors == null ? null : sectors.widestGapDeg())
                .conditions(state.conditions())
                .attempts(state.attempts())
                .unmeasured(unmeasured(state, context))
                .advice(advice)
                .alsoDo(
                        one.inForce()
                                ? projection.alsoDo().stream()
                                        .sorted()
                                        .map(also -> new LayerCard.Also(
                                                also.name(),
                                                words.also(also, projection, context, format),
                                                words.coverOf(also, projection, context, nursery.today())))
                                        .toList()
                                : List.of())
                .jobs(one.inForce() ? jobs(projection, layer.method(), nursery.today()) : List.of())
                .odds(one.inForce() ? odds(projection, context.rules()) : List.of())
                .plant(
                        state.plant() == null
                                ? null
                                : new LayerCard.PlantView(
                                        layer.standsAt() == null ? mother.placeId() : layer.standsAt(),
                                        state.plant().severedOn(),
                                        state.plant().rung(),
                                        state.plant().rungSince(),
                                        state.plant().potted(),
                                        state.plant().mossSince(),
                                        state.plant().ladder(),
                                        state.stubTidied(),
                                        new GrowingYears(context.climate(), species.opensAtMeanC())
                                                .opensNextYear(state.plant().severedOn())
                                                .orElse(null)))
                .suggested(suggested(projection, context, format))
                .build();
    }

    /** Densities of the eight sectors; null if nobody looked round it. */
    static @Nullable List<Integer> densities(LayerState state) {
        Sectors sectors = state.sectors();
        return sectors == null ? null : sectors.densities();
    }

    /** What was not measured, in the order in which it is asked, with what it is taken as. */
    private static List<LayerCard.NotMeasured> unmeasured(LayerState state, LayerContext context) {
        LayerRecord.Setting set = state.set();
        HouseRules rules = context.rules();
        return state.unmeasured().stream()
                .sorted()
                .map(one -> new LayerCard.NotMeasured(
                        one,
                        switch (one) {
                            case RING -> Double.valueOf(context.ringMm(state));
                            case LEAVES -> Double.valueOf(set.leavesTaken(rules));
                            case FROM_UNION -> Double.valueOf(set.fromUnionTakenMm(rules));
                            case LEAN -> Double.valueOf(set.leanTakenDeg(rules));
                            case FILL -> Double.valueOf(state.fillTakenPercent(rules));
                            case WOOD, POSITION, SECTORS -> null;
                        }))
                .toList();
    }

    /** The recipe that it goes by now. */
    private static LayerCard.RecipeOf recipe(Layer layer, LayerState state, NurserySnapshot nursery) {
        LayerState.MadeBy madeBy = state.madeBy();
        long id = madeBy == null ? layer.recipeId() : madeBy.recipeId();
        int number = madeBy == null ? layer.recipeNumber() : madeBy.recipeNumber();
        return new LayerCard.RecipeOf(
                id, nursery.recipe(id).name(), number, layer.method(), LayerCard.Way.of(layer.method()));
    }

    private static List<LayerCard.StageOdds> odds(LayerProjection projection, HouseRules rules) {
        LayerProjection.RootForecast forecast = projection.forecast();
        return forecast == null
                ? List.of()
                : forecast.ready().stages(rules, forecast.thermalDays()).entrySet().stream()
                        .map(stage -> new LayerCard.StageOdds(stage.getKey(), stage.getValue()))
                        .toList();
    }

    static LayerCard.Drawing drawing(LayerProjection projection, LayerContext context) {
        HouseRules rules = context.rules();
        LayerState state = projection.state();
        Cover cover = context.wrappedBy(state).cover();
        for (LayerState.CoverFrom change : state.covers()) {
            cover = change.cover();
        }
        return new LayerCard.Drawing(
                projection.ball(),
                context.ringMm(state),
                projection.ball().aboveCutMm(rules),
                projection.ball().belowCutMm(rules),
                state.set().position(),
                state.set().woodTaken(),
                state.set().leavesTaken(rules),
                state.set().leanTakenDeg(rules),
                projection.load(),
                state.propped(),
                cover,
                context.recipe().method(),
                context.recipe().method().isWrapped());
    }

    private List<LayerCard.JobView> jobs(LayerProjection projection, Method method, LocalDate today) {
        return projection.jobs().stream()
                .map(job -> new LayerCard.JobView(
                        job.code(),
                        words.job(job.code(), method),
                        job.from(),
                        job.by(),
                        Math.max(0, ChronoUnit.DAYS.between(job.by(), today))))
                .toList();
    }

    private LayerCard.Suggested suggested(LayerProjection projection, LayerContext context, Format format) {
        LayerState state = projection.state();
        LayerProjection.RootForecast forecast = projection.forecast();
        double water = forecast == null ? 0 : forecast.waterToAddG();
        double ring = RingAndBall.againMm(context.rules(), context.ringMm(state));
        HardenVerdict hardening = projection.hardening();
        return new LayerCard.Suggested(
                water, ring, hardening == null ? null : hardening.to(), words.firstMedia(context, format));
    }
}
