package org.kindgirdle.core.look;

import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.units.Require;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.FactName;

/** The inputs of the next step by name, each with its source and the values that it may have. */
public enum NextStepFact implements FactName {
    /** what is wrong now: found at the last look and not yet mended */
    CONDITIONS(Source.LOOK, Set.class),
    /** whether it was looked at since the last ring */
    LOOKED(Source.LOOK, Boolean.class),
    /** at the last look since the last ring, NONE before any */
    STAGE(Source.LOOK, RootStage.class),
    /** share of the sectors with roots; null where nobody looked round it */
    COVERAGE(Source.LOOK, 0, 1.0),
    /** the longest run of sectors without roots, degrees; null where nobody looked round it */
    WIDEST_GAP(Source.LOOK, 0, 360),
    /** more growing days have gone since the last look at the stage than the next look may wait */
    LOOK_OVERDUE(Source.FORECAST, Boolean.class),
    /** looks in growth since the stage last rose */
    STALLED_LOOKS(Source.LOOK, 0, 10_000),
    /** how often it was ringed again */
    ATTEMPTS(Source.RECORDS, 0, 10_000),
    /** how often empty sectors were scarred again */
    RESCORES(Source.RECORDS, 0, 10_000),
    /** scarred again less than the growing days ago that new roots take, or not looked at since */
    RESCORED_SINCE(Source.RECORDS, Boolean.class),
    /** the chance that it roots at all, after its looks */
    ROOTS_P(Source.FORECAST, 0, 1.0),
    /** the chance that it roots at all, at setting */
    ROOTS_BEFORE(Source.FORECAST, 0, 1.0),
    /** probability of a full ball by now if it roots, before any look since the last ring */
    READY_P(Source.FORECAST, 0, 1.0),
    /** probability of a full ball by the deadline if it roots and is ringed again today */
    WINDOW_P(Source.FORECAST, 0, 1.0),
    /** too early for a new ring, and within the house's days it is not any more, with a fair chance then */
    WINDOW_AHEAD(Source.CLIMATE, Boolean.class),
    /** warm enough for a new ring, in leaf, and no frost soon */
    BARK_SLIPS(Source.CLIMATE, Boolean.class),
    /** the week's mean of the place, with some play between beginning and end */
    GROWING(Source.CLIMATE, Boolean.class),
    /** leaf fall recorded or expected */
    LEAFLESS(Source.CLIMATE, Boolean.class),
    EVERGREEN(Source.CLIMATE, Boolean.class),
    /** to the early first frost; 0 from then until the late last one is past; null where none comes */
    DAYS_TO_FROST(Source.CLIMATE, 0, 366),
    /** nights are as cold as kills its roots, and the winter is not ending */
    HARD_FROST(Source.CLIMATE, Boolean.class),
    /** within two weeks a cold snap may kill its roots, and nights are not usually that cold yet */
    KILL_NEAR(Source.CLIMATE, Boolean.class),
    /** the winter is ending: the coldest day is past, the late last frost is not */
    LAST_FROST_AHEAD(Source.CLIMATE, Boolean.class),
    /** days that a severed layer needs before frost */
    ESTABLISH_DAYS(Source.HOUSE, 0, 366),
    /** top and young roots stand this place's winter on the plant */
    HARDY(Source.CLIMATE, Boolean.class),
    /** leaf fall is expected long enough before hard frost */
    DORMANT_ROOM(Source.CLIMATE, Boolean.class),
    /** it was full before the winter that is past: it has stood it */
    WINTERED(Source.CLIMATE, Boolean.class),
    /** frost-free cover is at hand */
    COVER(Source.HOUSE, Boolean.class),
    /** there is fruit that is to ripen first */
    FRUIT_TO_KEEP(Source.RECORDS, Boolean.class),
    /** taken for its shape and even roots */
    SPECIMEN(Source.RECORDS, Boolean.class),
    /** within a week */
    BALL_DRIES(Source.FORECAST, Boolean.class),
    /** when this one is to be severed */
    SCHOOL(Source.RECIPE, School.class);

    private final Source source;
    private final Class<?> type;
    private final double low;
    private final double high;

    NextStepFact(Source source, Class<?> type) {
        this(source, type, 0, 0);
    }

    /** A count. */
    NextStepFact(Source source, int low, int high) {
        this(source, Integer.class, low, high);
    }

    /** A share, or a measure. */
    NextStepFact(Source source, int low, double high) {
        this(source, Double.class, low, high);
    }

    NextStepFact(Source source, Class<?> type, double low, double high) {
        this.source = source;
        this.type = type;
        this.low = low;
        this.high = high;
    }

    @Override
    public Source source() {
        return source;
    }

    /** Whether it changes as days pass, with nothing done. */
    public boolean isBroughtByTime() {
        return source == Source.FORECAST || source == Source.CLIMATE;
    }

    /** This input as it stands. */
    public Fact in(NextStepInputs in) {
        return new Fact(this, in.value(this));
    }

    /** The value, if this input may have it. */
    @Nullable
    Object checked(@Nullable Object value) {
        if (value == null && (this == DAYS_TO_FROST || this == COVERAGE || this == WIDEST_GAP)) {
            return null;
        }
        Object there = type.cast(Require.present(name(), value));
        if (there instanceof Number number) {
            Require.within(name(), number.doubleValue(), low, high);
        }
        return there instanceof Set<?> set ? Set.copyOf(set) : there;
    }
}
