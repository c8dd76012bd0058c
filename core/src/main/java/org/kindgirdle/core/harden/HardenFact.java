package org.kindgirdle.core.harden;

import org.kindgirdle.core.verdict.FactName;

/** What the rules of the ladder read, with where it comes from. */
public enum HardenFact implements FactName {
    POTTED(Source.RECORDS),
    SIGNS(Source.LOOK),
    LAST_DROOP(Source.LOOK),
    LAST_LEAF_DROP(Source.LOOK),
    LEAFLESS(Source.CLIMATE),
    DAYS_IN_MOSS(Source.RECORDS),
    MOST_DAYS_IN_MOSS(Source.HOUSE),
    LADDER(Source.RECORDS),
    RUNG(Source.RECORDS),
    DAYS_ON_RUNG(Source.RECORDS),
    DAYS_WANTED(Source.HOUSE),
    DAYS_CALM(Source.LOOK),
    CALM_DAYS_WANTED(Source.HOUSE),
    HOTTEST_C(Source.FORECAST),
    HOT_ABOVE_C(Source.CLIMATE),
    WINDIEST_MS(Source.FORECAST),
    ROOTS_SEEN(Source.LOOK),
    GROWTH_SEEN(Source.LOOK),
    DAYS_TO_FROST(Source.CLIMATE),
    /** in the air of the next rung */
    FROST_UP_DAYS(Source.CLIMATE),
    /** the day on which what was planted into the ground grows again */
    GROWS_AGAIN_ON(Source.CLIMATE);

    private final Source source;

    HardenFact(Source source) {
        this.source = source;
    }

    @Override
    public Source source() {
        return source;
    }
}
