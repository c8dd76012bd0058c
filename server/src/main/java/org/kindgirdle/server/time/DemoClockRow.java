package org.kindgirdle.server.time;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;

/** The day at which the demo's clock stands. */
@Entity
@Table(name = "demo_clock")
class DemoClockRow {

    static final int ID = 1;

    @Id
    int id = ID;

    LocalDate today = LocalDate.EPOCH;

    protected DemoClockRow() {}

    DemoClockRow(LocalDate today) {
        this.today = today;
    }
}
