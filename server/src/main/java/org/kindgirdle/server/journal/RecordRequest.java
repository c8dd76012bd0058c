package org.kindgirdle.server.journal;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerRecord;
import tools.jackson.databind.JsonNode;

/**
 * A record as a client sends it, under its own UUID in the Command-Id header.
 *
 * @param occurredAt when it happened; now if left out
 * @param corrects the record that this one replaces, or takes back if the kind is WITHDRAWN
 * @param details by kind
 */
record RecordRequest(
        @NotNull RecordKind kind,
        @Nullable Instant occurredAt,
        @Nullable UUID corrects,
        @Nullable @Size(max = 1000) String note,

        @NotNull
        @Schema(
                oneOf = {
                    LayerRecord.Looked.class,
                    LayerRecord.ToppedUp.class,
                    LayerRecord.Rerung.class,
                    LayerRecord.Tended.class,
                    LayerRecord.Severed.class,
                    LayerRecord.Potted.class,
                    LayerRecord.Moved.class,
                    LayerRecord.Observed.class,
                    LayerRecord.Released.class,
                    LayerRecord.Lost.class,
                    LayerRecord.Deferred.class,
                    LayerRecord.Noted.class,
                    LayerRecord.Withdrawn.class
                })
        JsonNode details) {}
