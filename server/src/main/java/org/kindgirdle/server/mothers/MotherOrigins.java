package org.kindgirdle.server.mothers;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Which mothers were raised from layers of which others. */
@Service
public class MotherOrigins {

    private final MotherOriginRepository origins;

    MotherOrigins(MotherOriginRepository origins) {
        this.origins = origins;
    }

    /**
     * A mother that was a layer.
     *
     * @param layer its code then
     * @param parentId the mother that it stood on
     */
    public record Origin(long motherId, String layer, long parentId) {}

    public void add(long motherId, String layer) {
        origins.layerId(layer).ifPresent(id -> origins.save(new MotherOriginRow(motherId, id)));
    }

    /** By the raised mother. */
    public Map<Long, Origin> all() {
        return origins.origins().stream().collect(Collectors.toMap(Origin::motherId, Function.identity()));
    }

    /** The mother that was raised from a layer; null if none was. */
    public @Nullable Long raisedFrom(String layer) {
        return origins.raisedFrom(layer).orElse(null);
    }

    /** From a mother up to the oldest that is known, the nearest first. */
    public List<Origin> ancestry(long motherId) {
        Map<Long, Origin> known = all();
        List<Origin> line = new ArrayList<>();
        Set<Long> met = new HashSet<>();
        Origin one = known.get(motherId);
        while (one != null && met.add(one.motherId())) {
            line.add(one);
            one = known.get(one.parentId());
        }
        return line;
    }

    /** A mother and all that were raised from it and from those. */
    public Set<Long> line(long motherId) {
        Map<Long, List<Origin>> children = all().values().stream().collect(Collectors.groupingBy(Origin::parentId));
        Set<Long> line = new HashSet<>();
        List<Long> next = new ArrayList<>(List.of(motherId));
        while (!next.isEmpty()) {
            Long one = next.remove(next.size() - 1);
            if (line.add(one)) {
                children.getOrDefault(one, List.of()).forEach(child -> next.add(child.motherId()));
            }
        }
        return line;
    }
}
