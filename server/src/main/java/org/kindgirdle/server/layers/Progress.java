package org.kindgirdle.server.layers;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Predicate;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerContext;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.plan.LikelyNumber;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.projection.Projections;
import org.kindgirdle.server.projection.Reprojection;
import org.kindgirdle.server.records.Journals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How far the layers of some mothers have come. */
@Service
public class Progress {

    private final LayerRows layers;
    private final Journals journals;

    Progress(LayerRows layers, Journals journals) {
        this.layers = layers;
        this.journals = journals;
    }

    /**
     * What became of layers so far.
     *
     * @param set all of them
     * @param rooted those that were seen full or are off the mother, whatever became of them
     * @param potted that stand in pots now
     * @param underWay those that live and are not released
     */
    public record Tally(
            int set, int rooted, int potted, int released, int lost, List<LikelyNumber.UnderWay> underWay) {}

    /**
     * @param whose the mothers whose layers count
     * @param from the first day of setting that counts
     * @param chance of a layer that is under way
     */
    @Transactional(readOnly = true)
    public Tally of(
            NurserySnapshot nursery,
            Predicate<MotherView> whose,
            LocalDate from,
            BiFunction<LayerState, LayerContext, LikelyNumber.UnderWay> chance) {
        List<Long> mothers =
                nursery.mothers().stream().filter(whose).map(MotherView::id).toList();
        List<Layer> all = mothers.isEmpty()
                ? List.of()
                : layers.findByMotherIdInAndSetOnGreaterThanEqualAndPhaseNot(mothers, from, LayerPhase.WITHDRAWN);
        List<Layer> live = all.stream()
                .filter(layer -> Reprojection.LIVE.contains(layer.phase()))
                .toList();
        Map<Long, List<LayerEvent>> events = live.isEmpty() ? Map.of() : journals.of(Layer.ids(live));
        List<LikelyNumber.UnderWay> underWay = new ArrayList<>();
        for (Layer layer : live) {
            LayerState state = Projections.state(events.getOrDefault(layer.id(), List.of()));
            if (state != null) {
                underWay.add(chance.apply(state, Projections.context(layer, state, nursery)));
            }
        }
        return new Tally(
                all.size(),
                (int) all.stream().filter(Progress::hasRooted).count(),
                count(all, LayerPhase.POTTED),
                count(all, LayerPhase.RELEASED),
                count(all, LayerPhase.LOST),
                underWay);
    }

    private static int count(List<Layer> all, LayerPhase phase) {
        return (int) all.stream().filter(layer -> layer.phase() == phase).count();
    }

    private static boolean hasRooted(Layer layer) {
        return layer.rung() != null
                || layer.phase() == LayerPhase.SEVERED
                || layer.phase() == LayerPhase.POTTED
                || layer.phase() == LayerPhase.RELEASED
                || layer.stage().isAtLeast(RootStage.FILLED);
    }
}
