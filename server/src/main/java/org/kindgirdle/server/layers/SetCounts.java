package org.kindgirdle.server.layers;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.kindgirdle.core.layer.LayerPhase;
import org.springframework.stereotype.Component;

/** How many layers were set of each species, by day. */
@Component
public class SetCounts {

    private final LayerCounts layers;

    SetCounts(LayerCounts layers) {
        this.layers = layers;
    }

    /** Layers of a species that were set on a day. */
    public record SetCount(String speciesCode, LocalDate on, int layers) {}

    /** By mother; those with none are left out. */
    public Map<Long, Integer> byMother() {
        return layers.countByMother(LayerPhase.WITHDRAWN).stream()
                .collect(Collectors.toMap(LayerCounts.Count::id, one -> (int) one.layers()));
    }

    /** Of the half-open span [from, to), in order of the days; what was taken back does not count. */
    public List<SetCount> between(LocalDate from, LocalDate to) {
        return layers.countSet(from, to, LayerPhase.WITHDRAWN);
    }
}
