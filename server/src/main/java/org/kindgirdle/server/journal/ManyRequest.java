package org.kindgirdle.server.journal;

import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.records.RecordKind;
import tools.jackson.databind.JsonNode;

/**
 * The same thing done to many layers, under one UUID in the Command-Id header.
 *
 * @param codes of the layers, each once
 * @param occurredAt when it happened; now if left out
 * @param details by kind, as for a single record; a top-up without an amount gives each ball what it has lost
 */
record ManyRequest(
        @NotNull @NotEmpty @Size(max = 500) List<String> codes,
        @NotNull RecordKind kind,
        @Nullable Instant occurredAt,
        @Nullable @Size(max = 1000) String note,
        @NotNull JsonNode details) {

    ManyRequest {
        details = RecordRequest.present(details);
    }
}
