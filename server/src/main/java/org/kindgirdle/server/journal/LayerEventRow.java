package org.kindgirdle.server.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** One row of the journal. It is never changed. */
@Entity
@Immutable
@Table(name = "layer_event")
class LayerEventRow {

    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "layer_event_seq")
    @SequenceGenerator(name = "layer_event_seq", sequenceName = "layer_event_seq", allocationSize = 50)
    @Nullable
    Long id;

    UUID uuid = new UUID(0, 0);
    long layerId;

    @Enumerated(EnumType.STRING)
    RecordKind kind = RecordKind.NOTED;

    LocalDate onDate = LocalDate.EPOCH;
    Instant occurredAt = Instant.EPOCH;
    Instant recordedAt = Instant.EPOCH;
    int clockOffsetDays;
    long personId;

    @Nullable
    UUID corrects;

    String details = "{}";
    String note = "";

    /** the verdict as it was given, with its inputs and versions */
    @Nullable
    String verdict;

    protected LayerEventRow() {}

    static LayerEventRow fresh() {
        return new LayerEventRow();
    }
}
