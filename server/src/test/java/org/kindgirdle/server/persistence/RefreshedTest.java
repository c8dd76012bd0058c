package org.kindgirdle.server.persistence;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

class RefreshedTest {

    private String stored = "of before";
    private int asked;
    private final Refreshed<String> name = new Refreshed<>(() -> {
        asked++;
        return stored;
    });

    @AfterEach
    void noTransaction() {
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.clearSynchronization();
        }
        TransactionSynchronizationManager.unbindResourceIfPossible(name);
    }

    @Test
    void it_is_asked_for_once_and_again_when_it_was_changed() {
        assertThat(name.get()).isEqualTo("of before");
        stored = "of now";
        assertThat(name.get()).isEqualTo("of before");
        name.forget();
        assertThat(name.get()).isEqualTo("of now");
        assertThat(asked).isEqualTo(2);
    }

    /** What goes on beside it sees only what is committed, and must not tell it that its own change is none. */
    @Test
    void a_transaction_goes_by_its_own_change_whatever_is_read_beside_it() throws InterruptedException {
        TransactionSynchronizationManager.initSynchronization();
        stored = "of the transaction";
        name.forget();
        assertThat(name.get()).isEqualTo("of the transaction");
        stored = "as others still see it";
        Thread other = new Thread(name::get);
        other.start();
        other.join();
        assertThat(name.get()).isEqualTo("of the transaction");
        stored = "committed";
        TransactionSynchronizationManager.getSynchronizations()
                .forEach(one -> one.afterCompletion(TransactionSynchronization.STATUS_COMMITTED));
        assertThat(name.get()).isEqualTo("committed");
    }
}
