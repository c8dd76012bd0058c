package org.kindgirdle.server.nursery;

import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps records and changes of the master data apart, across all copies of the application: a record is reckoned from
 * master data that stand still until it is committed, and a change recomputes every record that was committed before
 * it. Taken first in a transaction, before any row of a layer; it is released at the transaction's end.
 */
@Component
public class NurseryLock {

    private final JdbcTemplate jdbc;

    NurseryLock(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** For writing records: many at a time. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void share() {
        jdbc.queryForList("select id from nursery_lock where id = 1 lock in share mode");
    }

    /** For recomputing all records: one at a time, and no record meanwhile. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void holdAlone() {
        jdbc.queryForList("select id from nursery_lock where id = 1 for update");
    }

    /** For changing what all records are reckoned from: held alone, with a new edition. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void holdForChange() {
        // never a number that counts on: a change that is rolled back must not give its edition to another
        jdbc.update(
                "update nursery_lock set edition = ? where id = 1",
                UUID.randomUUID().toString());
    }
}
