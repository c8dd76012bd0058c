package org.kindgirdle.core.growth;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.Require;

/**
 * When a species was seen to leaf out and to drop its leaves at a place. What was seen overrules what is expected by the
 * normals.
 *
 * @param out day of the year on which its leaves were out, 1 to 365; null if nobody said
 * @param fall day of the year on which its leaves had fallen, 1 to 365; null if nobody said
 */
public record SeenLeaf(@Nullable Integer out, @Nullable Integer fall) {

    /** Nothing was seen. */
    public static final SeenLeaf NONE = new SeenLeaf(null, null);

    /** @throws IllegalArgumentException if a day lies outside the year */
    public SeenLeaf {
        for (Integer day : new Integer[] {out, fall}) {
            if (day != null) {
                Require.within("day of the year", day, 1, 365);
            }
        }
    }
}
