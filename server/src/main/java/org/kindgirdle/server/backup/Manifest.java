package org.kindgirdle.server.backup;

import java.util.SortedMap;

/**
 * What a backup says of itself, so that it can be held to it: the entry FORMAT, the last one of the file.
 *
 * @param format of the file; 2 is the one with counts
 * @param application that wrote it
 * @param schema number of the newest migration of its database
 * @param madeAt when, UTC
 * @param rows of each table
 * @param sha256 of each other entry
 */
record Manifest(
        int format,
        String application,
        String schema,
        String madeAt,
        SortedMap<String, Long> rows,
        SortedMap<String, String> sha256) {

    static final int FORMAT = 2;

    static final String ENTRY = "FORMAT";

    /** The first line of the entry, by which a file is known before anything else in it is believed. */
    static final String MARK = "kind-girdle-backup ";
}
