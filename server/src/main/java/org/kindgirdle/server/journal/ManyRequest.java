package org.kindgirdle.server.journal;

import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.records.RecordKind;
import tools.jackson.databind.JsonNode;

/**
 * The same thing done to many layers, under one UUID in the Command-Id header.
 *
 * @param codes of the layers, each once
 * @param occurredAt when it happened; now if left out
 * @param occurredOn the day on which it happened, where the hour is not known; then no moment is sent
 * @param details by kind, as for a single record
 */
record ManyRequest(
        @NotNull @NotEmpty @Size(max = 500) List<String> codes,
        @NotNull RecordKind kind,
        @Nullable Instant occurredAt,
        @Nullable LocalDate occurredOn,
        @Nullable @Size(max = 1000) String note,
        @NotNull JsonNode details) {

    ManyRequest {
        details = RecordRequest.present(details);
    }

    When when() {
        return new When(occurredAt, occurredOn);
    }
}
