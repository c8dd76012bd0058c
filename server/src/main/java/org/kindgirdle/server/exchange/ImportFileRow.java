package org.kindgirdle.server.exchange;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A file on its way in. */
@Entity
@Table(name = "import_file")
class ImportFileRow {

    @Id
    UUID id = new UUID(0, 0);

    long personId;
    String name = "";
    boolean nursery;
    long bytes;
    Instant madeAt = Instant.EPOCH;

    @Enumerated(EnumType.STRING)
    ImportStore.State state = ImportStore.State.HERE;

    long done;
    boolean cancelled;

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    ImportStore.Head head = new ImportStore.Head(List.of(), List.of(), "");

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    @Nullable
    Mapping mapping;

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    @Nullable
    ImportFindings outcome;

    protected ImportFileRow() {}

    ImportStore.ImportFile view() {
        return new ImportStore.ImportFile(id, name, nursery, bytes, state, done, cancelled, head, mapping, outcome);
    }
}
