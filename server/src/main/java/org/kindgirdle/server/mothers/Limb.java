package org.kindgirdle.server.mothers;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.Wood;

/** A limb of a mother. */
@Entity
class Limb {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    long motherId;
    String name = "";
    double diameterMm;

    @Enumerated(EnumType.STRING)
    Wood wood = Wood.ONE_TWO;

    double leanDeg;
    double lengthMm;
    int nodes;
    int leaves;
    boolean toBePruned;
    boolean shootBelow;
    String note = "";

    /** what was cut off with layers since then is to be taken off its measures */
    LocalDate measuredOn = LocalDate.EPOCH;

    /** null while it is on the mother */
    @Nullable
    LocalDate goneOn;

    @Version
    long version;

    protected Limb() {}

    static Limb fresh() {
        return new Limb();
    }
}
