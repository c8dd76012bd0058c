package org.kindgirdle.server.nursery;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Keeps records and changes of the master data apart, across all copies of the application: a record is reckoned from
 * master data that stand still until it is committed, and a change recomputes every record that was committed before
 * it. Taken first in a transaction, before any row of a layer; it is released at the transaction's end.
 */
@Component
public class NurseryLock {

    private static final Object OWN = NurseryLock.class;

    private final EntityManager rows;

    NurseryLock(EntityManager rows) {
        this.rows = rows;
    }

    /** For writing records: many at a time. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void share() {
        row(LockModeType.PESSIMISTIC_READ);
    }

    /**
     * For adding what no record is reckoned from yet: beside those who record. Until it is committed, whoever reads in
     * this transaction reads an edition of their own.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void shareForMore() {
        share();
        if (!TransactionSynchronizationManager.hasResource(OWN)) {
            TransactionSynchronizationManager.bindResource(
                    OWN, UUID.randomUUID().toString());
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    TransactionSynchronizationManager.unbindResourceIfPossible(OWN);
                }
            });
        }
    }

    /** What sets an edition apart in which this transaction has added something; empty elsewhere. */
    public static String ownEdition() {
        return TransactionSynchronizationManager.getResource(OWN) instanceof String own ? own : "";
    }

    /** For recomputing all records: one at a time, and no record meanwhile. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void holdAlone() {
        row(LockModeType.PESSIMISTIC_WRITE);
    }

    /** For changing what all records are reckoned from: held alone, with a new edition. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void holdForChange() {
        // never a number that counts on: a change that is rolled back must not give its edition to another
        row(LockModeType.PESSIMISTIC_WRITE).edition = UUID.randomUUID().toString();
        // what is read next is asked for by the edition
        rows.flush();
    }

    private NurseryLockRow row(LockModeType mode) {
        return rows.find(NurseryLockRow.class, NurseryLockRow.ID, mode);
    }
}
