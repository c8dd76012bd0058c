package org.kindgirdle.server.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.set.Wood;

/** Plants that are wanted, as they were reckoned when they were. */
@Entity
@Table(name = "target")
class TargetRow {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    String name = "";
    String speciesCode = "";

    /** empty for any */
    String variety = "";

    long placeId;
    long recipeId;

    @Enumerated(EnumType.STRING)
    Wood wood = Wood.ONE_TWO;

    double diameterMm;
    int wanted;
    LocalDate wantedBy = LocalDate.EPOCH;
    double confidence;

    /** that were to be set when it was made */
    int layers;

    LocalDate countsFrom = LocalDate.EPOCH;
    String madeBy = "";
    LocalDate madeOn = LocalDate.EPOCH;

    /** null while it is pursued */
    @Nullable
    LocalDate closedOn;

    @Version
    long version;

    protected TargetRow() {}

    static TargetRow fresh() {
        return new TargetRow();
    }

    NumbersQuery query() {
        return new NumbersQuery(
                placeId, recipeId, speciesCode, variety, wanted, wantedBy, confidence, wood, diameterMm);
    }
}
