package org.kindgirdle.server.exchange;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** How the columns of files with one header were read the last time. */
@Entity
@Table(name = "import_mapping")
class ImportMappingRow {

    @Id
    String headerHash = "";

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    Mapping mapping;

    Instant usedAt = Instant.EPOCH;

    @SuppressWarnings("NullAway.Init")
    protected ImportMappingRow() {}
}
