package org.kindgirdle.server.set;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.core.layer.CoverAhead;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.set.BranchLoad;
import org.kindgirdle.core.set.Checklist;
import org.kindgirdle.core.set.CoverAdvice;
import org.kindgirdle.core.set.Position;
import org.kindgirdle.core.set.RingAndBall;
import org.kindgirdle.core.set.RingPlacement;
import org.kindgirdle.server.words.Format;
import org.kindgirdle.server.words.Phrases;
import org.springframework.stereotype.Component;

/** Says what the hands do at the bench. */
@Component
class BenchWords {

    private static final Rule DEPTH_LEAST_MM = Rule.of("ground.depth-least");
    private static final Rule DEPTH_MOST_MM = Rule.of("ground.depth-most");

    private final Phrases phrases;

    BenchWords(Phrases phrases) {
        this.phrases = phrases;
    }

    /** The steps for these layers; a caution stands at the first step where it bites, and not again. */
    List<SetPreview.ChecklistStep> checklist(LayerContext context, List<LayerProjection> layers, Format format) {
        Map<String, String> values = values(context, layers, format);
        boolean prop = layers.stream().anyMatch(layer -> layer.load().verdict() != BranchLoad.Bearing.FINE);
        Set<Checklist.Caution> said = EnumSet.noneOf(Checklist.Caution.class);
        List<SetPreview.ChecklistStep> steps = new ArrayList<>();
        for (Checklist.Step step :
                Checklist.of(context.recipe(), prop, context.species().bleedsLatex())) {
            List<String> cautions = new ArrayList<>();
            for (Checklist.Caution caution : step.cautions()) {
                boolean bites = caution != Checklist.Caution.SAP
                        || !context.species().hazards().isBlank();
                if (bites && said.add(caution)) {
                    cautions.add(phrases.say("caution." + caution, values));
                }
            }
            String key = step == Checklist.Step.UPPER_CUT
                    ? "set.UPPER_CUT." + nodes(layers)
                    : phrases.keyFor(
                            phrases.keyFor("set." + step, context.recipe().wound()),
                            context.recipe().method());
            steps.add(new SetPreview.ChecklistStep(step, phrases.say(key, values), cautions));
        }
        return steps;
    }

    /** What the upper cuts go by. */
    private static String nodes(List<LayerProjection> layers) {
        Set<Position> all = layers.stream()
                .map(layer -> layer.state().set().position())
                .filter(Objects::nonNull)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Position.class)));
        return all.size() == 1 ? all.iterator().next().name() : "MIXED";
    }

    private Map<String, String> values(LayerContext context, List<LayerProjection> layers, Format format) {
        RingPlacement placed = RingPlacement.of(context.rules(), Position.BELOW_NODE, RingPlacement.BallOver.UPPER_CUT);
        Map<String, String> values = new HashMap<>();
        values.put("ring", lengths(layers, RingAndBall::ringMm, format));
        values.put("ball", lengths(layers, RingAndBall::ballLengthMm, format));
        values.put("above", format.lengthMm(placed.aboveMm()));
        values.put("nodeLeast", format.lengthMm(placed.fromNodeLeastMm()));
        values.put("nodeMost", format.lengthMm(placed.fromNodeMostMm()));
        values.put("depthLeast", format.lengthMm(context.rules().of(DEPTH_LEAST_MM)));
        values.put("depthMost", format.lengthMm(context.rules().of(DEPTH_MOST_MM)));
        values.put("ppm", String.valueOf(Math.round(context.recipe().hormonePpm())));
        values.put("cover", cover(context.recipe().cover()));
        values.put("species", context.species().common());
        values.put("hazards", context.species().hazards());
        return values;
    }

    /** "27 mm" or "21 mm to 36 mm". */
    private static String lengths(List<LayerProjection> layers, ToDoubleFunction<RingAndBall> of, Format format) {
        DoubleSummaryStatistics all =
                layers.stream().map(LayerProjection::ball).mapToDouble(of).summaryStatistics();
        String least = format.lengthMm(all.getMin());
        String most = format.lengthMm(all.getMax());
        return least.equals(most) ? least : least + " to " + most;
    }

    /** What suits here, and why. */
    SetPreview.CoverView cover(CoverAhead ahead, Cover planned, Format format) {
        CoverAdvice advice = ahead.advice();
        Map<String, String> values = new HashMap<>();
        values.put("to", format.day(ahead.to()));
        values.put("planned", cover(planned));
        values.put("best", cover(advice.best()));
        values.put("plannedC", format.temperatureC(advice.under(planned).hottestC()));
        values.put("bestC", format.temperatureC(advice.under(advice.best()).hottestC()));
        values.put("stillHot", ahead.tooHotUnderBest() ? phrases.say("cover.stillHot") : "");
        values.put("plannedDays", figure(advice.under(planned).thermalDays()));
        values.put("bestDays", figure(advice.under(advice.best()).thermalDays()));
        String key = "cover." + advice.reason();
        String sentence = phrases.say(advice.worthChanging() ? key : "cover.stays", values);
        if (advice.reason() == CoverAdvice.Reason.BALL_TOO_HOT && !advice.worthChanging()) {
            sentence = phrases.say("cover.allTooHot", values);
        }
        return new SetPreview.CoverView(advice.reason(), advice.best(), ahead.suits(), sentence);
    }

    private static String figure(double thermalDays) {
        return String.format(Locale.ROOT, "%.1f", thermalDays);
    }

    /** Where the upper cut goes. */
    /** @param position null if nobody said: then nothing can be said of nodes */
    String cutsAt(@Nullable Position position, RingPlacement placed, Format format) {
        return phrases.say(
                "cut." + (position == null ? Position.BETWEEN_NODES : position),
                Map.of(
                        "nodeLeast", format.lengthMm(placed.fromNodeLeastMm()),
                        "nodeMost", format.lengthMm(placed.fromNodeMostMm())));
    }

    String cover(Cover cover) {
        return phrases.say("cover.name." + cover);
    }
}
