package org.kindgirdle.server.exchange;

import java.util.List;

/**
 * What a look through a file found, or what was taken in.
 *
 * @param rows of the file
 * @param fresh that are not here
 * @param changed that change what is here
 * @param same that are here already, as they stand in the file
 * @param mothers that are not here and are made with their layers, by their codes, the first of them
 * @param mothersMade how many there are
 * @param badRows how many have something wrong; while there is one, nothing is written
 * @param bad what is wrong, the first of it
 * @param broken why the file can't be read to its end; empty if it can
 */
public record ImportFindings(
        long rows,
        long fresh,
        long changed,
        long same,
        List<String> mothers,
        long mothersMade,
        long badRows,
        List<BadCell> bad,
        String broken) {

    /**
     * @param line of the file, from 1; 0 for what the rows make together
     * @param column of the table, or empty for the whole line
     * @param value what stands there
     */
    public record BadCell(long line, String column, String value, String message) {}

    /** Whether it can be written. */
    boolean isGood() {
        return badRows == 0 && broken.isEmpty() && rows > 0;
    }
}
