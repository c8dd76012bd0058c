package org.kindgirdle.server.layers;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.kindgirdle.core.harden.PlantState;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerProjection;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.core.plan.LimbRoom;
import org.kindgirdle.server.projection.Layer;
import org.kindgirdle.server.projection.Projections;
import org.kindgirdle.server.records.Journals;
import org.kindgirdle.server.snapshot.NurserySnapshot;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was taken from the mothers, and what stands on their limbs. */
@Service
public class TakenFromMothers {

    private final LayerRows layers;
    private final LayerCounts counts;
    private final Journals journals;

    TakenFromMothers(LayerRows layers, LayerCounts counts, Journals journals) {
        this.layers = layers;
        this.counts = counts;
        this.journals = journals;
    }

    /**
     * What was set on a mother in one year, and what became of it.
     *
     * @param onMother that stand on it now
     * @param offMother severed, and neither released nor lost
     */
    public record Year(int year, int set, int onMother, int offMother, int released, int lost) {}

    /**
     * What was taken from a mother.
     *
     * @param underRings how many stand on it now and ask something of it
     * @param years the newest first
     */
    public record Taken(int underRings, List<Year> years) {}

    /**
     * A ball on a limb.
     *
     * @param isPlaced whether somebody measured where it stands; how near it is to others is not known otherwise
     * @param utilisation what it alone asks of what the limb bears in wind and rain; 0 where it is propped
     */
    public record BallOnLimb(LimbRoom.Standing standing, boolean isPlaced, double ballDiameterMm, double utilisation) {}

    /** A layer that was cut off a limb, and all beyond it with it. */
    public record Cut(String code, LocalDate on, double fromUnionMm) {}

    /** What stands on a limb, what was cut off it, and how many layers were ever set on it. */
    public record OnLimb(List<BallOnLimb> balls, List<Cut> cuts, int ever) {

        public static final OnLimb NOTHING = new OnLimb(List.of(), List.of(), 0);

        /** What all its balls together ask of what it bears. */
        public double utilisation() {
            return balls.stream().mapToDouble(BallOnLimb::utilisation).sum();
        }
    }

    /** What was taken back does not count. */
    public Taken of(long motherId) {
        Map<Integer, Map<LayerPhase, Integer>> years = new TreeMap<>(Comparator.reverseOrder());
        int underRings = 0;
        for (LayerCounts.YearCount one : counts.countByYear(motherId, LayerPhase.WITHDRAWN)) {
            int count = Math.toIntExact(one.layers());
            years.computeIfAbsent(one.year(), year -> new EnumMap<>(LayerPhase.class))
                    .merge(one.phase(), count, Integer::sum);
            underRings += MotherLoad.asksOfMother(one.phase(), one.method()) ? count : 0;
        }
        return new Taken(
                underRings,
                years.entrySet().stream()
                        .map(one -> year(one.getKey(), one.getValue()))
                        .toList());
    }

    private static Year year(int year, Map<LayerPhase, Integer> of) {
        return new Year(
                year,
                of.values().stream().mapToInt(Integer::intValue).sum(),
                of.getOrDefault(LayerPhase.ON_MOTHER, 0),
                of.getOrDefault(LayerPhase.SEVERED, 0) + of.getOrDefault(LayerPhase.POTTED, 0),
                of.getOrDefault(LayerPhase.RELEASED, 0),
                of.getOrDefault(LayerPhase.LOST, 0));
    }

    /** By the limb's id; limbs on which nothing was set are left out. */
    @Transactional(readOnly = true)
    public Map<Long, OnLimb> onLimbs(long motherId, NurserySnapshot nursery) {
        List<Layer> some = layers.findByMotherIdAndPhaseNotAndLimbIdNotNullOrderById(motherId, LayerPhase.WITHDRAWN);
        if (some.isEmpty()) {
            return Map.of();
        }
        Map<Long, List<LayerEvent>> all = journals.of(Layer.ids(some));
        return some.stream()
                .collect(Collectors.groupingBy(layer -> Objects.requireNonNull(layer.limbId())))
                .entrySet()
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, limb -> onLimb(limb.getValue(), all, nursery)));
    }

    /** What stands on one limb now. */
    @Transactional(readOnly = true)
    OnLimb onLimb(long limbId, NurserySnapshot nursery) {
        List<Layer> some = layers.findByLimbIdInAndPhase(List.of(limbId), LayerPhase.ON_MOTHER);
        return onLimb(some, journals.of(Layer.ids(some)), nursery);
    }

    private static OnLimb onLimb(List<Layer> some, Map<Long, List<LayerEvent>> all, NurserySnapshot nursery) {
        List<BallOnLimb> balls = new ArrayList<>();
        List<Cut> cuts = new ArrayList<>();
        for (Layer layer : some) {
            LayerProjection projection = Projections.of(layer, all.getOrDefault(layer.id(), List.of()), nursery);
            if (projection == null) {
                continue;
            }
            Double measured = projection.state().set().fromUnionMm();
            double fromUnionMm = projection.state().set().fromUnionTakenMm(nursery.rules());
            LayerState.MadeBy madeBy = projection.state().madeBy();
            if (!layer.method().staysOnMother()) {
                // its limb was cut with it on, and stands in water
                cuts.add(new Cut(
                        layer.code(), madeBy == null ? projection.state().setOn() : madeBy.since(), fromUnionMm));
                continue;
            }
            if (layer.phase() == LayerPhase.ON_MOTHER) {
                balls.add(new BallOnLimb(
                        new LimbRoom.Standing(
                                layer.code(), fromUnionMm, projection.ball().ballLengthMm()),
                        measured != null,
                        projection.ball().ballDiameterMm(),
                        projection.state().propped() ? 0 : projection.load().utilisation()));
            }
            PlantState plant = projection.state().plant();
            if (plant != null) {
                cuts.add(new Cut(layer.code(), plant.severedOn(), fromUnionMm));
            }
        }
        return new OnLimb(balls, cuts, some.size());
    }
}
