package org.kindgirdle.server.harden;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Where a mother came from, and what came from it.
 *
 * @param ancestors the nearest first
 * @param self the mother, with all below it
 * @param generations of mothers from the oldest known to the youngest
 */
record PedigreeView(List<Ancestor> ancestors, Descent self, int generations) {

    /**
     * @param layer that was taken from it
     */
    record Ancestor(long motherId, String code, String variety, String layer) {}

    /**
     * @param layer that it was raised from; null if nobody knows
     * @param layersSet how many layers were set on it
     * @param children raised from its layers
     */
    record Descent(
            long motherId,
            String code,
            String variety,
            @Nullable String layer,
            int layersSet,
            List<Descent> children) {}
}
