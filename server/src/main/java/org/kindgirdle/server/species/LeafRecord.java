package org.kindgirdle.server.species;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A species was seen to leaf out, or to have dropped its leaves, at a place. It is never changed but to be taken back. */
@Entity
class LeafRecord {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    long placeId;
    String speciesCode = "";

    @Enumerated(EnumType.STRING)
    LeafKind kind = LeafKind.LEAF_OUT;

    LocalDate seenOn = LocalDate.EPOCH;
    String madeBy = "";
    LocalDate madeOn = LocalDate.EPOCH;

    @Nullable
    LocalDate takenBackOn;

    protected LeafRecord() {}

    LeafRecord(long placeId, String speciesCode, LeafKind kind, LocalDate seenOn, String madeBy, LocalDate madeOn) {
        this.placeId = placeId;
        this.speciesCode = speciesCode;
        this.kind = kind;
        this.seenOn = seenOn;
        this.madeBy = madeBy;
        this.madeOn = madeOn;
    }
}
