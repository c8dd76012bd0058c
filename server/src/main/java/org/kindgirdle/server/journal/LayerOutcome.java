package org.kindgirdle.server.journal;

/** What became of a layer, to narrow a list or a table by. */
public enum LayerOutcome {
    /** released or lost */
    FINISHED("l.phase in ('RELEASED', 'LOST')"),
    /** neither */
    UNDER_WAY("l.phase in ('ON_MOTHER', 'SEVERED', 'POTTED')"),
    /** it is known whether it rooted */
    ROOTING_KNOWN("l.rooted is not null"),
    ROOTED("l.rooted"),
    NOT_ROOTED("not l.rooted"),
    /** it is known whether it lived on after severance */
    ESTABLISHING_KNOWN("l.established is not null"),
    ESTABLISHED("l.established"),
    LOST_AFTER_SEVERANCE("not l.established"),
    /** a look found the ball full */
    SEEN_FULL("l.full_on is not null");

    private final String condition;

    LayerOutcome(String condition) {
        this.condition = condition;
    }

    String condition() {
        return condition;
    }
}
