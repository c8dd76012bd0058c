package org.kindgirdle.server.nursery;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.RootRun;
import org.kindgirdle.core.set.Vigour;

/** A stock plant. */
@Entity
class Mother {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    String code = "";
    String speciesCode = "";
    String variety = "";
    long placeId;

    @Enumerated(EnumType.STRING)
    RootRun rootRun = RootRun.GROUND;

    @Enumerated(EnumType.STRING)
    Vigour vigour = Vigour.NORMAL;

    boolean sick;

    @Enumerated(EnumType.STRING)
    Rights rights = Rights.FREE;

    int leafyShoots;
    String note = "";

    @Version
    long version;

    protected Mother() {}

    static Mother fresh() {
        return new Mother();
    }
}
