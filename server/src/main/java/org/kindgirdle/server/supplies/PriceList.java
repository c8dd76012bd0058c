package org.kindgirdle.server.supplies;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.kindgirdle.core.plan.Prices;

/** The one row of what the nursery pays. */
@Entity
class PriceList {

    static final int ONLY = 1;

    @Id
    int id = ONLY;

    String currency = "";

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    Prices prices;

    @Version
    long version;

    @SuppressWarnings("NullAway.Init")
    protected PriceList() {}
}
