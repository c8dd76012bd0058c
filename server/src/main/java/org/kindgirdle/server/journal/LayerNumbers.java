package org.kindgirdle.server.journal;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.Map;
import java.util.Objects;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Gives out the numbers of new layers, from which their codes are made: at once and for good, so that nobody who sets a
 * layer waits for another, or for a long file. Those of what is not written after all are skipped.
 */
@Component
class LayerNumbers {

    private final EntityManager rows;
    private final TransactionTemplate apart;

    LayerNumbers(EntityManager rows, PlatformTransactionManager transactions) {
        this.rows = rows;
        this.apart = new TransactionTemplate(transactions);
        this.apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /**
     * @param above the highest number of a layer that comes with its own; -1 for none
     * @param count how many more are wanted
     * @return the first of them; the others follow it
     * @throws ProblemException if there are no codes left for so many
     */
    int take(int above, int count) {
        return Objects.requireNonNull(apart.execute(open -> taken(above, count)));
    }

    private int taken(int above, int count) {
        CounterRow counter = rows.find(CounterRow.class, CounterRow.LAYERS, LockModeType.PESSIMISTIC_WRITE);
        int next = Math.max(counter.nextValue, above + 1) + count;
        if (next > LayerCode.CAPACITY) {
            throw ProblemException.conflict(
                    Refusals.say("layer.numbers.title"),
                    Refusals.say("layer.numbers", "capacity", LayerCode.CAPACITY, "count", count, "next", next),
                    Map.of("capacity", LayerCode.CAPACITY));
        }
        counter.nextValue = next;
        return next - count;
    }
}
