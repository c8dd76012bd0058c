package org.kindgirdle.server.exchange;

import java.util.List;
import org.kindgirdle.server.exchange.RowException.Wrong;

/** Hears what becomes of the rows of a file. */
interface Tally {

    /**
     * Whether the rows will stay: not where the file is only looked through, and no longer once a line is bad. Then what
     * takes long can be left.
     */
    boolean keeps();

    void count(Table.RowOutcome outcome);

    /** A mother that was not here was made with its layers. */
    void mother(String code);

    void wrong(long line, List<Wrong> wrong);
}
