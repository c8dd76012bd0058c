package org.kindgirdle.server.projection;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.layer.LayerState;
import org.kindgirdle.server.records.Journals;
import org.springframework.stereotype.Component;

/** The order of cuts on one limb: what stands nearer its tip comes off with what is cut below it. */
@Component
public class TipFirst {

    private final LayerRepository layers;
    private final Journals journals;

    TipFirst(LayerRepository layers, Journals journals) {
        this.layers = layers;
        this.journals = journals;
    }

    /** By code of some layers: the codes that must come off before it, from the tip down. Left out if none must. */
    public Map<String, List<String>> before(Collection<Layer> some) {
        List<Long> limbs = some.stream()
                .map(layer -> layer.limbId)
                .filter(Objects::nonNull)
                .distinct()
                .toList();
        if (limbs.isEmpty()) {
            return Map.of();
        }
        Map<Long, List<Layer>> byLimb = layers.findByLimbIdInAndPhase(limbs, LayerPhase.ON_MOTHER).stream()
                .filter(layer -> layer.method.staysOnMother())
                .collect(Collectors.groupingBy(layer -> Objects.requireNonNull(layer.limbId)));
        List<Layer> crowded = byLimb.values().stream()
                .filter(together -> together.size() > 1)
                .flatMap(List::stream)
                .toList();
        if (crowded.isEmpty()) {
            return Map.of();
        }
        Map<Long, List<LayerEvent>> known = journals.of(Layer.ids(crowded));
        Map<String, List<String>> before = new HashMap<>();
        for (Layer layer : some) {
            List<Layer> together = byLimb.getOrDefault(layer.limbId == null ? -1 : layer.limbId, List.of());
            double own = fromUnion(known.get(layer.id()));
            List<String> first = together.stream()
                    .filter(other -> !other.code.equals(layer.code) && fromUnion(known.get(other.id())) > own)
                    .sorted((a, b) -> Double.compare(fromUnion(known.get(b.id())), fromUnion(known.get(a.id()))))
                    .map(other -> other.code)
                    .toList();
            if (!first.isEmpty()) {
                before.put(layer.code, first);
            }
        }
        return before;
    }

    /** NaN, which lies before and behind nothing, where nobody measured it. */
    private static double fromUnion(@Nullable List<LayerEvent> journal) {
        LayerState state = journal == null ? null : Projections.state(journal);
        if (state == null) {
            return Double.MAX_VALUE;
        }
        Double measured = state.set().fromUnionMm();
        return measured == null ? Double.NaN : measured;
    }
}
