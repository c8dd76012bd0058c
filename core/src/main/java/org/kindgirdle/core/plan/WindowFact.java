package org.kindgirdle.core.plan;

import org.kindgirdle.core.verdict.FactName;

/** What the rules of a start date read, with where it comes from. */
public enum WindowFact implements FactName {
    START(Source.RECORDS),
    OPENS_ON(Source.CLIMATE),
    LAST_FROST_ON(Source.CLIMATE),
    /** the day from which bark slips no more */
    CLOSES_ON(Source.CLIMATE),
    DEADLINE(Source.CLIMATE),
    READY_P(Source.FORECAST),
    DAYS_TO_LEAF_FALL(Source.CLIMATE),
    HARDY(Source.CLIMATE),
    OVERWINTER_P(Source.FORECAST),
    /** own records that the time to a full ball rests on; 0 for the profile */
    RECORDS_USED(Source.RECORDS);

    private final Source source;

    WindowFact(Source source) {
        this.source = source;
    }

    @Override
    public Source source() {
        return source;
    }
}
