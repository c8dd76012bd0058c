package org.kindgirdle.server.exchange;

import java.util.List;

/** A row that can't be taken. */
final class RowException extends RuntimeException {

    private final transient List<Wrong> wrong;

    /**
     * One thing wrong with it.
     *
     * @param column its name; empty for the whole row
     * @param value what stands there; empty for what the file says
     */
    record Wrong(String column, String value, String message) {}

    RowException(List<Wrong> wrong) {
        super(wrong.toString());
        this.wrong = List.copyOf(wrong);
    }

    RowException(String column, String message) {
        this(List.of(new Wrong(column, "", message)));
    }

    List<Wrong> wrong() {
        return wrong;
    }
}
