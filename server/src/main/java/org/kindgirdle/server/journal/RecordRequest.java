package org.kindgirdle.server.journal;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.records.RecordKind;
import tools.jackson.databind.JsonNode;

/**
 * A record as a client sends it, under its own UUID in the Command-Id header.
 *
 * @param occurredAt when it happened; now if left out
 * @param occurredOn the day on which it happened, where the hour is not known, as of a round on paper; then no moment is
 *     sent
 * @param corrects the record that this one replaces, or takes back if the kind is WITHDRAWN
 * @param details by kind
 */
record RecordRequest(
        @NotNull RecordKind kind,
        @Nullable Instant occurredAt,
        @Nullable LocalDate occurredOn,
        @Nullable UUID corrects,
        @Nullable @Size(max = 1000) String note,

        @NotNull JsonNode details) {

    RecordRequest {
        // a null that was sent arrives as a node
        details = present(details);
    }

    When when() {
        return new When(occurredAt, occurredOn);
    }

    @SuppressWarnings("NullAway") // what is not there is refused with the rest of what is wrong
    static JsonNode present(JsonNode sent) {
        return sent == null || sent.isNull() ? null : sent;
    }
}
