package org.kindgirdle.core.growth;

/** Whether a species drops its leaves. */
public enum Habit {
    DECIDUOUS,
    SEMI_EVERGREEN,
    EVERGREEN
}
