package org.kindgirdle.server.nursery;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;

/** The one row of what the nursery pays. */
@Entity
class PriceList {

    static final int ONLY = 1;

    @Id
    int id = ONLY;

    String currency = "";

    /** the core's prices as JSON */
    String prices = "";

    @Version
    long version;

    protected PriceList() {}
}
