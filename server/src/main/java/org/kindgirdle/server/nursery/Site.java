package org.kindgirdle.server.nursery;

import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** The one site of the nursery. */
@Entity
class Site {

    static final int ONLY = 1;

    @Id
    int id = ONLY;

    String name = "";
    double latitude;
    String zone = "UTC";

    /** twelve numbers as JSON */
    @Column(name = "min_c")
    String minC = "[]";

    @Column(name = "max_c")
    String maxC = "[]";

    boolean frostFree;

    @Embedded
    @Nullable
    FrostDates frosts;

    @Column(name = "winter_low_c")
    double winterLowC;

    boolean arid;

    String roundDays = "";
    int roundMinutes;

    @Version
    long version;

    protected Site() {}

    static Site fresh() {
        return new Site();
    }
}
