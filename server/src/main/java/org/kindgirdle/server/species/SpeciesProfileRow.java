package org.kindgirdle.server.species;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.kindgirdle.core.growth.SpeciesProfile;

/** One version of a species profile. */
@Entity
@Immutable
@Table(name = "species_profile")
class SpeciesProfileRow {

    @Embeddable
    record Key(String speciesCode, int number) {}

    @EmbeddedId
    Key key = new Key("", 0);

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    SpeciesProfile profile;

    String madeBy = "";
    Instant madeAt = Instant.EPOCH;

    @SuppressWarnings("NullAway.Init")
    protected SpeciesProfileRow() {}

    SpeciesProfileRow(String code, int number, SpeciesProfile profile, String madeBy, Instant madeAt) {
        this.key = new Key(code, number);
        this.profile = profile;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }
}
