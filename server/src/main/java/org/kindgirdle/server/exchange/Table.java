package org.kindgirdle.server.exchange;

import java.util.List;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A table that goes out as CSV and comes in again. */
interface Table {

    /** As it stands in addresses and file names. */
    String name();

    List<Column> columns();

    /** Hands over every row, its values in the order of the columns. */
    void write(Consumer<List<@Nullable JsonNode>> to);

    /**
     * Begins to take rows in, in the transaction that is open.
     *
     * @param tally is told what became of each row
     */
    Intake intake(Tally tally);

    /** What became of a row. */
    enum RowOutcome {
        /** it was not here */
        NEW,
        /** it was here, and is changed */
        CHANGED,
        /** it is here already, as it stands in the file */
        SAME
    }

    /** Rows that are being taken in. */
    interface Intake {

        /**
         * Takes one row. It may be written later, with others.
         *
         * @param row values by column: none for a column that the file lacks, null for an empty cell
         * @param line of the file
         */
        void take(ObjectNode row, long line);

        /** Writes what was held back. */
        default void finish() {}
    }
}
