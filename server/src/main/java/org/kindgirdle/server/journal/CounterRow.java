package org.kindgirdle.server.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** The next number of something that is numbered without holes. */
@Entity
@Table(name = "counter")
class CounterRow {

    static final String LAYERS = "layer";

    @Id
    String name = "";

    int nextValue;

    protected CounterRow() {}
}
