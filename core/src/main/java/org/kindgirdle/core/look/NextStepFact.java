package org.kindgirdle.core.look;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.verdict.Fact;
import org.kindgirdle.core.verdict.FactName;

/** The inputs of the next step by name, with their source. */
public enum NextStepFact implements FactName {
    CONDITIONS(Source.LOOK),
    LOOKED(Source.LOOK),
    STAGE(Source.LOOK),
    COVERAGE(Source.LOOK),
    STALLED_LOOKS(Source.LOOK),
    ATTEMPTS(Source.RECORDS),
    RESCORES(Source.RECORDS),
    READY_P(Source.FORECAST),
    WINDOW_P(Source.FORECAST),
    GROWING(Source.CLIMATE),
    LEAFLESS(Source.CLIMATE),
    DAYS_TO_FROST(Source.CLIMATE),
    ESTABLISH_DAYS(Source.HOUSE),
    HARDY(Source.CLIMATE),
    COVER(Source.HOUSE),
    FRUIT_TO_KEEP(Source.RECORDS),
    SPECIMEN(Source.RECORDS),
    BALL_DRIES(Source.FORECAST),
    SCHOOL(Source.RECIPE);

    private final Source source;

    NextStepFact(Source source) {
        this.source = source;
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
        return new Fact(this, value(in));
    }

    private @Nullable Object value(NextStepInputs in) {
        return switch (this) {
            case CONDITIONS -> in.conditions();
            case LOOKED -> in.looked();
            case STAGE -> in.stage();
            case COVERAGE -> in.coverage();
            case STALLED_LOOKS -> in.stalledLooks();
            case ATTEMPTS -> in.attempts();
            case RESCORES -> in.rescores();
            case READY_P -> in.readyP();
            case WINDOW_P -> in.windowP();
            case GROWING -> in.growing();
            case LEAFLESS -> in.leafless();
            case DAYS_TO_FROST -> in.daysToFrost();
            case ESTABLISH_DAYS -> in.establishDays();
            case HARDY -> in.hardy();
            case COVER -> in.cover();
            case FRUIT_TO_KEEP -> in.fruitToKeep();
            case SPECIMEN -> in.specimen();
            case BALL_DRIES -> in.ballDries();
            case SCHOOL -> in.school();
        };
    }
}
