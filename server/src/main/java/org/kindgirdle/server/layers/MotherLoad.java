package org.kindgirdle.server.layers;

import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.set.Method;
import org.springframework.stereotype.Service;

/** How many layers stand on the mothers now. */
@Service
public class MotherLoad {

    /** What roots off its mother asks nothing of it. */
    private static final Set<Method> ON_MOTHER =
            Arrays.stream(Method.values()).filter(Method::staysOnMother).collect(Collectors.toUnmodifiableSet());

    private final LayerCounts layers;

    MotherLoad(LayerCounts layers) {
        this.layers = layers;
    }

    static boolean asksOfMother(LayerPhase phase, Method method) {
        return phase == LayerPhase.ON_MOTHER && ON_MOTHER.contains(method);
    }

    public long underRings(long motherId) {
        return layers.countByMotherIdAndPhaseAndMethodIn(motherId, LayerPhase.ON_MOTHER, ON_MOTHER);
    }

    /** By mother's id; mothers without layers are left out. */
    public Map<Long, Long> underRings() {
        return layers.countByMother(LayerPhase.ON_MOTHER, ON_MOTHER).stream()
                .collect(Collectors.toMap(LayerCounts.Count::id, LayerCounts.Count::layers));
    }
}
