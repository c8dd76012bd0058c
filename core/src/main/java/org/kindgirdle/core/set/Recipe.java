package org.kindgirdle.core.set;

import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.units.Require;

/**
 * A house combination of wound, hormone, medium, wrap and cover.
 *
 * @param hormonePpm IBA, 0 for none
 * @param containerG mass of a pod, pot or bag that holds the ball, g
 */
public record Recipe(Wound wound, double hormonePpm, Medium medium, Wrap wrap, Cover cover, double containerG) {

    public Recipe {
        Require.present("wound", wound);
        Require.present("medium", medium);
        Require.present("wrap", wrap);
        Require.present("cover", cover);
        Require.within("hormonePpm", hormonePpm, 0, 100_000);
        Require.within("containerG", containerG, 0, 5000);
    }

    /** Whether the bark is cut and the wood scraped clean, so that a ring bridges less. */
    public boolean isScraped() {
        return wound == Wound.RING_SCRAPED || wound == Wound.RING_AND_TOURNIQUET;
    }
}
