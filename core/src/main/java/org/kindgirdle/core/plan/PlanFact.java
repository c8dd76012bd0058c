package org.kindgirdle.core.plan;

import org.kindgirdle.core.verdict.FactName;

/** What the rules of a plan read, with where it comes from. */
public enum PlanFact implements FactName {
    RETIRED(Source.RECORDS),
    SICK(Source.RECORDS),
    RIGHTS_MISSING(Source.RECORDS),
    METHOD(Source.RECIPE),
    EVERY_SHOOT_BURIED(Source.LOOK),
    LIVE_SHOOT_BELOW(Source.LOOK),
    /** of the species, from a bare trunk */
    RESPROUTS(Source.RECORDS),
    SHOOTS_UNDER_RINGS(Source.RECORDS),
    MOST_SHOOTS(Source.HOUSE),
    OWN_ROOTS(Source.RECORDS),
    REGULATED(Source.RECORDS),
    HAZARDS(Source.RECORDS),
    DIAMETER_MM(Source.LOOK),
    LEAVES_BEYOND(Source.LOOK);

    private final Source source;

    PlanFact(Source source) {
        this.source = source;
    }

    @Override
    public Source source() {
        return source;
    }
}
