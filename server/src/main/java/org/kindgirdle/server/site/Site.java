package org.kindgirdle.server.site;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.DayOfWeek;
import java.util.List;
import java.util.Set;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
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

    /** of each month */
    @JdbcTypeCode(SqlTypes.JSON)
    @Column(name = "min_c", columnDefinition = "longtext")
    List<Double> minC = List.of();

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(name = "max_c", columnDefinition = "longtext")
    List<Double> maxC = List.of();

    boolean frostFree;

    @Embedded
    @Nullable
    FrostDates frosts;

    @Column(name = "winter_low_c")
    double winterLowC;

    boolean arid;

    @Convert(converter = DaysOfWeek.class)
    Set<DayOfWeek> roundDays = Set.of();

    int roundMinutes;

    @Version
    long version;

    protected Site() {}

    static Site fresh() {
        return new Site();
    }
}
