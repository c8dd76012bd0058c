package org.kindgirdle.server.nursery;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;

/** The one row of what the bench keeps in stock. */
@Entity
@Table(name = "supplies")
class SuppliesRow {

    static final int ONLY = 1;

    @Id
    int id = ONLY;

    /** the core's mixes by medium, as JSON; those that are not in it are as shipped */
    String mixes = "";

    /** the core's containers, as JSON */
    String containers = "";

    /** the core's hormones, as JSON */
    String hormones = "";

    /** the core's pots, as JSON; empty for those that ship */
    String pots = "[]";

    /** the core's mix, as JSON; an empty object for the one that ships */
    String pottingMix = "{}";

    @Version
    long version;

    protected SuppliesRow() {}
}
