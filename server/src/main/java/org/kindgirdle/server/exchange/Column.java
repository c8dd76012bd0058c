package org.kindgirdle.server.exchange;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.units.Dimension;

/**
 * A column of a table.
 *
 * @param name as it stands in the header, with the unit at its end
 * @param kind what a cell holds
 * @param needed whether a new row must have it
 * @param readOnly whether it only goes out: an import passes over it
 * @param codes what a cell may say, if that is one of a few
 * @param dimension what is measured; null if nothing is
 * @param range what is allowed, in words; empty if that is said already
 */
record Column(
        String name,
        CellKind kind,
        boolean needed,
        boolean readOnly,
        List<String> codes,
        @Nullable Dimension dimension,
        String range) {

    /** What a cell holds. */
    enum CellKind {
        /** any text */
        TEXT(true),
        /** the name or code by which another table knows its row */
        NAME(true),
        NUMBER(false),
        WHOLE(false),
        /** {@code yes} or {@code no} */
        YES_NO(false),
        /** {@code 2026-07-10} */
        DATE(false),
        /** {@code 05-12}: the twelfth of May */
        DAY_OF_YEAR(false),
        /** {@code 2026-07-10T09:30:00Z} */
        INSTANT(false),
        UUID(false),
        /** one of a few words */
        CODE(false),
        /** several of them, with a semicolon between */
        CODES(false),
        /** numbers with a semicolon between */
        NUMBERS(false),
        /** {@code Moss: 2; Perlite: 1} */
        PARTS(true);

        private final boolean isText;

        CellKind(boolean isText) {
            this.isText = isText;
        }

        /** Whether a cell may hold whatever somebody typed. */
        boolean isText() {
            return isText;
        }

        /** Whether a cell holds one number: all others are kept from being taken for a formula. */
        boolean isPlainNumber() {
            return this == NUMBER || this == WHOLE;
        }
    }

    static Column of(String name, CellKind kind) {
        return new Column(name, kind, false, false, List.of(), null, "");
    }

    Column asNeeded() {
        return new Column(name, kind, true, readOnly, codes, dimension, range);
    }

    Column asOptional() {
        return new Column(name, kind, false, readOnly, codes, dimension, range);
    }

    Column asReadOnly() {
        return new Column(name, kind, false, true, codes, dimension, range);
    }
}
