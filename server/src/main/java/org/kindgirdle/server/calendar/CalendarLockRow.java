package org.kindgirdle.server.calendar;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** The one row that is locked while what calendars were told is brought up to date. */
@Entity
@Table(name = "calendar_lock")
class CalendarLockRow {

    static final int ID = 1;

    @Id
    int id = ID;

    protected CalendarLockRow() {}
}
