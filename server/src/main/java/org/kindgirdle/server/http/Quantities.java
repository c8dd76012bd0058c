package org.kindgirdle.server.http;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.Dimension;

/** Names that end in their unit. */
public final class Quantities {

    private Quantities() {}

    /** The dimension that a name's ending stands for; null if none. */
    public static @Nullable Dimension dimension(String name) {
        if (name.endsWith("Mm")) {
            return Dimension.LENGTH;
        }
        if (name.endsWith("Ml")) {
            return Dimension.VOLUME;
        }
        if (name.endsWith("Ppm") || name.equals("ppm")) {
            return Dimension.CONCENTRATION;
        }
        if (name.endsWith("ShiftC")) {
            return Dimension.TEMPERATURE_DIFFERENCE;
        }
        if (name.endsWith("C")) {
            return Dimension.TEMPERATURE;
        }
        return name.endsWith("G") ? Dimension.MASS : null;
    }
}
