package org.kindgirdle.server.persistence;

import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Whether the open transaction only looks at what would become of a file, in tables that nobody else sees: then nothing
 * that follows from a change is worked out, and what it reads is not kept for others.
 */
public final class Looking {

    private static final Object KEY = Looking.class;

    private Looking() {}

    /** From now on to the end of the transaction. @throws IllegalStateException if none is open */
    public static void begin() {
        TransactionSynchronizationManager.bindResource(KEY, true);
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                TransactionSynchronizationManager.unbindResourceIfPossible(KEY);
            }

            @Override
            public void suspend() {
                TransactionSynchronizationManager.unbindResourceIfPossible(KEY);
            }

            @Override
            public void resume() {
                TransactionSynchronizationManager.bindResource(KEY, true);
            }
        });
    }

    public static boolean isOn() {
        return TransactionSynchronizationManager.hasResource(KEY);
    }
}
