package org.kindgirdle.server.mothers;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** One entry of a mother's history. */
@Entity
@Immutable
@Table(name = "mother_event")
class MotherEventRow {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    long motherId;

    @Enumerated(EnumType.STRING)
    MotherHistory.EntryKind kind = MotherHistory.EntryKind.EDITED;

    LocalDate onDate = LocalDate.EPOCH;
    Instant recordedAt = Instant.EPOCH;

    /** the name that a person signs in with; empty if nobody did */
    String recordedBy = "";

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    List<MotherHistory.Change> changes = List.of();

    String reason = "";

    protected MotherEventRow() {}

    MotherEventRow(
            long motherId,
            MotherHistory.EntryKind kind,
            LocalDate onDate,
            List<MotherHistory.Change> changes,
            String reason) {
        this.motherId = motherId;
        this.kind = kind;
        this.onDate = onDate;
        this.changes = changes;
        this.reason = reason;
    }
}
