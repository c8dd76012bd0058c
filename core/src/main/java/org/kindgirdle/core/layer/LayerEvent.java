package org.kindgirdle.core.layer;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A record in the journal.
 *
 * @param id made by the client
 * @param on the day in the site's zone on which it happened
 * @param occurredAt when it happened
 * @param recordedAt when it reached the journal
 * @param corrects the event that this one replaces or takes back; null for most
 * @param what it says
 */
public record LayerEvent(
        UUID id,
        LocalDate on,
        Instant occurredAt,
        Instant recordedAt,
        @Nullable UUID corrects,
        LayerRecord what) {

    /** The order of replay. */
    public static final Comparator<LayerEvent> ORDER = Comparator.comparing(LayerEvent::occurredAt)
            .thenComparing(LayerEvent::recordedAt)
            .thenComparing(LayerEvent::id);
}
