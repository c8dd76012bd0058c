package org.kindgirdle.server.calendar;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;

/** The address of a person's calendar, by the hash of its token. */
@Entity
@Table(name = "calendar_address")
class CalendarAddressRow {

    @Id
    long personId;

    String tokenHash = "";
    LocalDate madeOn = LocalDate.EPOCH;

    protected CalendarAddressRow() {}
}
