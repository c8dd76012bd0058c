package org.kindgirdle.server.set;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A batch that is to be set on a day. */
@Entity
@Table(name = "planned_batch")
class PlannedBatchRow {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    LocalDate forDay = LocalDate.EPOCH;
    long motherId;
    long recipeId;

    /** as it will be sent */
    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    SetRequest request;

    String madeBy = "";
    LocalDate madeOn = LocalDate.EPOCH;

    /** that it became; null while it is not set */
    @Nullable
    UUID batchId;

    boolean dropped;

    @Version
    long version;

    @SuppressWarnings("NullAway.Init")
    protected PlannedBatchRow() {}

    PlannedBatchRow(SetRequest request) {
        this.request = request;
    }

    boolean isOpen() {
        return batchId == null && !dropped;
    }
}
