package org.kindgirdle.core.look;

import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.Require;

/**
 * One input that a rule read, with its value; it compares by equality and holds no prose.
 *
 * @param name which input
 * @param value a Boolean, Integer, Double, enum or set of conditions; null where there is none (no frost comes)
 */
public record Fact(Name name, @Nullable Object value) {

    /** Where the value of an input comes from. */
    public enum Source {
        LOOK,
        RECORDS,
        FORECAST,
        CLIMATE,
        HOUSE,
        RECIPE
    }

    /** The inputs by name, with their source. */
    public enum Name {
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

        Name(Source source) {
            this.source = source;
        }

        public Source source() {
            return source;
        }
    }

    /** The value where there must be one. */
    Object present() {
        return Require.present(name.name(), value);
    }

    boolean isTrue() {
        return (Boolean) present();
    }

    int count() {
        return (Integer) present();
    }

    double number() {
        return (Double) present();
    }

    static Fact of(Name name, NextStepInputs in) {
        return new Fact(
                name,
                switch (name) {
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
                });
    }
}
