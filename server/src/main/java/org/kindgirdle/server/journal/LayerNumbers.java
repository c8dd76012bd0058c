package org.kindgirdle.server.journal;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.Map;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.problem.ProblemException;

/** Gives out the numbers of new layers, from which their codes are made. */
final class LayerNumbers {

    private LayerNumbers() {}

    /**
     * @param above the highest number of a layer that comes with its own; -1 for none
     * @param count how many more are wanted
     * @return the first of them; the others follow it
     * @throws ProblemException if there are no codes left for so many
     */
    static int take(EntityManager rows, int above, int count) {
        CounterRow counter = rows.find(CounterRow.class, CounterRow.LAYERS, LockModeType.PESSIMISTIC_WRITE);
        int next = Math.max(counter.nextValue, above + 1) + count;
        if (next > LayerCode.CAPACITY) {
            throw ProblemException.conflict(
                    "There are no codes left for so many layers",
                    "A nursery has codes for " + LayerCode.CAPACITY + " layers, and " + count
                            + " more would make " + next + ". Nothing was written. Begin another nursery for new ones,"
                            + " or leave the oldest out.",
                    Map.of("capacity", LayerCode.CAPACITY));
        }
        counter.nextValue = next;
        return next - count;
    }
}
