package org.kindgirdle.server.projection;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;

/** The day that all live layers were brought to last. */
@Entity
@Table(name = "day_turn")
class DayTurnRow {

    static final int ID = 1;

    @Id
    int id = ID;

    LocalDate asOf = LocalDate.EPOCH;

    protected DayTurnRow() {}

    DayTurnRow(LocalDate asOf) {
        this.asOf = asOf;
    }
}
