package org.kindgirdle.server.calendar;

import java.time.LocalDate;

/**
 * Whole days in a calendar.
 *
 * @param uid the same for the same thing, whatever becomes of its days and words
 * @param from first day
 * @param to last day
 */
record Entry(String uid, LocalDate from, LocalDate to, String summary, String description) {}
