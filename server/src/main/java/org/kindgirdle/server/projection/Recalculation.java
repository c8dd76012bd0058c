package org.kindgirdle.server.projection;

import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Where the pass over all live layers stands. It is in the database, so that it survives a restart. */
@Service
public class Recalculation {

    private final RecalculationRepository rows;
    private final ApplicationEventPublisher events;

    Recalculation(RecalculationRepository rows, ApplicationEventPublisher events) {
        this.rows = rows;
        this.events = events;
    }

    /** @param total live layers when it began */
    public record Progress(boolean running, int done, int total) {}

    /** A pass is to begin when the open transaction is committed. */
    record Begun() {}

    public Progress progress() {
        return rows.progress();
    }

    long nextId() {
        return rows.nextId();
    }

    @Transactional(propagation = Propagation.MANDATORY)
    void begin(int total) {
        rows.begin(total);
        events.publishEvent(new Begun());
    }

    /** All were reckoned otherwise. */
    @Transactional(propagation = Propagation.MANDATORY)
    void cancel() {
        rows.cancel();
    }

    /** @return {@code more} */
    @Transactional(propagation = Propagation.MANDATORY)
    boolean advance(long nextId, int some, boolean more) {
        rows.advance(nextId, some, more);
        return more;
    }
}
