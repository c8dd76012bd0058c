package org.kindgirdle.server.places;

import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.climate.Exposure;
import org.kindgirdle.core.pot.Stability;
import org.kindgirdle.server.site.FrostDates;

/** A part of the site with a climate of its own. */
@Entity
class Place {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    String name = "";
    int walkingOrder;

    @Enumerated(EnumType.STRING)
    Exposure exposure = Exposure.PART;

    @Column(name = "min_shift_c")
    double minShiftC;

    @Column(name = "max_shift_c")
    double maxShiftC;

    double vpdFactor = 1;

    @Enumerated(EnumType.STRING)
    PlaceFrosts frosts = PlaceFrosts.SITE;

    @Embedded
    @Nullable
    FrostDates own;

    @Column(name = "winter_low_c")
    double winterLowC;

    @Enumerated(EnumType.STRING)
    Stability.Stand stand = Stability.Stand.OPEN;

    @Version
    long version;

    protected Place() {}

    static Place fresh() {
        return new Place();
    }
}
