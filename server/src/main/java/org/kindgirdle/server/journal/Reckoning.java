package org.kindgirdle.server.journal;

import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Where the pass over all live layers stands. It is in the database, so that it survives a restart. */
@Service
public class Reckoning {

    private final JdbcTemplate jdbc;
    private final ApplicationEventPublisher events;

    Reckoning(JdbcTemplate jdbc, ApplicationEventPublisher events) {
        this.jdbc = jdbc;
        this.events = events;
    }

    /** @param total live layers when it began */
    public record Progress(boolean running, int done, int total) {}

    /** A pass is to begin when the open transaction is committed. */
    record Begun() {}

    public Progress progress() {
        return jdbc.queryForObject(
                "select running, done, total from reckoning where id = 1",
                (row, number) -> new Progress(row.getBoolean(1), row.getInt(2), row.getInt(3)));
    }

    long nextId() {
        Long next = jdbc.queryForObject("select next_id from reckoning where id = 1", Long.class);
        return next == null ? 0 : next;
    }

    @Transactional(propagation = Propagation.MANDATORY)
    void begin(int total) {
        jdbc.update("update reckoning set next_id = 0, done = 0, total = ?, running = true where id = 1", total);
        events.publishEvent(new Begun());
    }

    /** All were reckoned otherwise. */
    @Transactional(propagation = Propagation.MANDATORY)
    void cancel() {
        jdbc.update("update reckoning set running = false where id = 1 and running");
    }

    /** @return {@code more} */
    @Transactional(propagation = Propagation.MANDATORY)
    boolean advance(long nextId, int some, boolean more) {
        jdbc.update("update reckoning set next_id = ?, done = done + ?, running = ? where id = 1", nextId, some, more);
        return more;
    }
}
