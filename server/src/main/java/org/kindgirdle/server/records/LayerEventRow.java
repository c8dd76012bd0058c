package org.kindgirdle.server.records;

import jakarta.persistence.Column;
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
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerProjection;

/** One row of the journal. It is never changed. */
@Entity
@Immutable
@Table(name = "layer_event")
public class LayerEventRow {

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

    /** the days that were said of its full ball; null where it was written down on another day than it happened */
    @Column(name = "ready10_on")
    @Nullable
    LocalDate ready10On;

    @Column(name = "ready50_on")
    @Nullable
    LocalDate ready50On;

    @Column(name = "ready90_on")
    @Nullable
    LocalDate ready90On;

    protected LayerEventRow() {}

    LayerEventRow(LayerEvent event, RecordKind kind, String details) {
        this.uuid = event.id();
        this.kind = kind;
        this.onDate = event.on();
        this.occurredAt = event.occurredAt();
        this.recordedAt = event.recordedAt();
        this.corrects = event.corrects();
        this.details = details;
    }

    /** Whose layer's it is; said before it is written. */
    public void belongTo(long layer) {
        layerId = layer;
    }

    /** Keeps the verdict that was given with it. */
    public void judge(String given) {
        verdict = given;
    }

    /** Keeps the dates that were said with it, if they were said on its day: what comes later knew more. */
    public void said(LayerProjection projection, LocalDate today) {
        if (onDate.equals(today)) {
            said(SaidDates.of(projection));
        }
    }

    public void said(@Nullable SaidDates dates) {
        if (dates != null) {
            ready10On = dates.q10();
            ready50On = dates.q50();
            ready90On = dates.q90();
        }
    }

    public RecordKind kind() {
        return kind;
    }

    public @Nullable UUID corrects() {
        return corrects;
    }

    public long personId() {
        return personId;
    }

    public Instant recordedAt() {
        return recordedAt;
    }

    public @Nullable LocalDate ready10On() {
        return ready10On;
    }

    public String note() {
        return note;
    }

    public @Nullable LocalDate ready50On() {
        return ready50On;
    }

    public UUID uuid() {
        return uuid;
    }

    public long layerId() {
        return layerId;
    }

    public LocalDate onDate() {
        return onDate;
    }

    public Instant occurredAt() {
        return occurredAt;
    }

    public @Nullable LocalDate ready90On() {
        return ready90On;
    }

    public String details() {
        return details;
    }

    public int clockOffsetDays() {
        return clockOffsetDays;
    }

    public @Nullable String verdict() {
        return verdict;
    }
}
