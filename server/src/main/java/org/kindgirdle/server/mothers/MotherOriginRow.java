package org.kindgirdle.server.mothers;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.annotations.Immutable;

/** A mother was a layer once. */
@Entity
@Immutable
@Table(name = "mother_origin")
class MotherOriginRow {

    @Id
    long motherId;

    long layerId;

    protected MotherOriginRow() {}

    MotherOriginRow(long motherId, long layerId) {
        this.motherId = motherId;
        this.layerId = layerId;
    }
}
