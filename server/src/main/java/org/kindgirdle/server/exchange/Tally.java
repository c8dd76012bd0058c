package org.kindgirdle.server.exchange;

import java.util.List;
import org.kindgirdle.server.exchange.RowException.Wrong;

/** Hears what becomes of the rows of a file. */
interface Tally {

    /** Whether the file is only looked through: the transaction will be rolled back, and what takes long can be left. */
    boolean isLook();

    void count(Table.Fate fate);

    void wrong(long line, List<Wrong> wrong);
}
