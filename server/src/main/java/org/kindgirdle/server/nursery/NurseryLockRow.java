package org.kindgirdle.server.nursery;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** The one row that records and changes of the master data lock, and the edition of that data. */
@Entity
@Table(name = "nursery_lock")
class NurseryLockRow {

    static final int ID = 1;

    @Id
    int id = ID;

    String edition = "";

    protected NurseryLockRow() {}
}
