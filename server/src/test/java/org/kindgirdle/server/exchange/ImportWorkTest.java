package org.kindgirdle.server.exchange;

import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.SimpleTransactionStatus;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionSynchronizationUtils;
import org.springframework.transaction.support.TransactionTemplate;

class ImportWorkTest {

    private final PlatformTransactionManager transactions = mock(PlatformTransactionManager.class);
    private final Shadows shadows = mock(Shadows.class);
    private final NurseryTables tables = mock(NurseryTables.class);
    private final ImportWork work = new ImportWork(
            new TransactionTemplate(transactions), mock(Tables.class), mock(ImportStore.class), tables, shadows);

    @BeforeEach
    void anOpenTransaction() {
        TransactionSynchronizationManager.initSynchronization();
        when(transactions.getTransaction(any())).thenReturn(new SimpleTransactionStatus());
        when(tables.all())
                .thenReturn(List.of(
                        new NurseryTables.Kept("mothers", "mother", "id", List.of()),
                        new NurseryTables.Kept("layers", "layer", "id", List.of())));
    }

    @AfterEach
    void end() {
        TransactionSynchronizationUtils.invokeAfterCompletion(
                TransactionSynchronizationManager.getSynchronizations(), 1);
        TransactionSynchronizationManager.clearSynchronization();
    }

    /** The connection goes back to others: a shadow that stayed on it would be all they see. */
    @Test
    void shadows_that_could_not_all_be_cast_are_lifted() {
        doThrow(new IllegalStateException("the disk is full")).when(shadows).copy(any());

        assertThatThrownBy(() -> work.run(UUID.randomUUID(), new Mapping("mothers", List.of(), false), true))
                .hasMessage("the disk is full");

        verify(shadows).lift(List.of("mother"));
    }
}
