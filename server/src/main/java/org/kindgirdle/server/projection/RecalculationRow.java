package org.kindgirdle.server.projection;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** How far the pass over all live layers has come. */
@Entity
@Table(name = "recalculation")
class RecalculationRow {

    static final int ID = 1;

    @Id
    int id = ID;

    long nextId;
    int done;
    int total;
    boolean running;

    protected RecalculationRow() {}
}
