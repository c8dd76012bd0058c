package org.kindgirdle.server.journal;

import java.util.Map;
import org.kindgirdle.core.set.LayerCode;
import org.kindgirdle.server.problem.ProblemException;
import org.springframework.jdbc.core.JdbcTemplate;

/** Gives out the numbers of new layers, from which their codes are made. */
final class LayerNumbers {

    private LayerNumbers() {}

    /**
     * @param above the highest number of a layer that comes with its own; -1 for none
     * @param count how many more are wanted
     * @return the first of them; the others follow it
     * @throws ProblemException if there are no codes left for so many
     */
    static int take(JdbcTemplate jdbc, int above, int count) {
        jdbc.update(
                "update counter set next_value = greatest(next_value, ?) + ? where name = 'layer'", above + 1, count);
        Integer after = jdbc.queryForObject("select next_value from counter where name = 'layer'", Integer.class);
        int next = after == null ? count : after;
        if (next > LayerCode.CAPACITY) {
            throw ProblemException.conflict(
                    "There are no codes left for so many layers",
                    "A nursery has codes for " + LayerCode.CAPACITY + " layers, and " + count
                            + " more would make " + next + ". Nothing was written. Begin another nursery for new ones,"
                            + " or leave the oldest out.",
                    Map.of("capacity", LayerCode.CAPACITY));
        }
        return next - count;
    }
}
