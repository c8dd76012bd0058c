package org.kindgirdle.server.calendar;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;

/** What calendars were told last under one identity. */
@Entity
@Table(name = "calendar_entry")
class CalendarEntryRow {

    @Id
    String uid = "";

    LocalDate fromDay = LocalDate.EPOCH;
    LocalDate toDay = LocalDate.EPOCH;
    String summary = "";

    @Column(columnDefinition = "text")
    String description = "";

    int sequence;
    Instant changedAt = Instant.EPOCH;
    boolean cancelled;

    protected CalendarEntryRow() {}

    CalendarEntryRow(ToldEntries.ToldEntry told) {
        uid = told.entry().uid();
        tell(told);
    }

    ToldEntries.ToldEntry told() {
        return new ToldEntries.ToldEntry(
                new Entry(uid, fromDay, toDay, summary, description), sequence, changedAt, cancelled);
    }

    final void tell(ToldEntries.ToldEntry told) {
        fromDay = told.entry().from();
        toDay = told.entry().to();
        summary = told.entry().summary();
        description = told.entry().description();
        sequence = told.sequence();
        changedAt = told.changedAt();
        cancelled = told.cancelled();
    }
}
