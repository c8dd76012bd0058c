package org.kindgirdle.server.layers;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.kindgirdle.server.records.RecordKind;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;

/** What has been recorded of layers lately, by anyone. */
@Service
public class LayerChanges {

    /** A row may be committed later than one that was stamped after it: so much is asked for again. */
    private static final int OVERLAP_SECONDS = 15;

    private static final Limit MAX = Limit.of(500);

    private final LayerRecords events;
    private final BusinessClock clock;

    LayerChanges(LayerRecords events, BusinessClock clock) {
        this.events = events;
        this.clock = clock;
    }

    /** One record, and whose it is. */
    public record LayerChange(
            UUID id, String code, RecordKind kind, long personId, String by, Instant occurredAt, Instant recordedAt) {}

    /**
     * @param upTo to ask from the next time
     * @param records in the order in which they were recorded; some may have been told before: their ids say which
     */
    public record Changes(Instant upTo, List<LayerChange> records) {}

    /** What was recorded since a moment. Beyond the newest 500 it says nothing of the older ones. */
    public Changes since(Instant moment) {
        Instant now = clock.systemNow();
        List<LayerChange> newest = events.changesSince(moment.minusSeconds(OVERLAP_SECONDS), RecordKind.SET, MAX);
        return new Changes(now, inOrder(newest));
    }

    /** What was recorded today of today, the newest first. */
    public List<LayerChange> today() {
        LocalDate today = clock.today();
        Instant midnight = clock.systemNow()
                .atZone(clock.zone())
                .toLocalDate()
                .atStartOfDay(clock.zone())
                .toInstant();
        return events.changesOf(today, midnight, RecordKind.SET, MAX);
    }

    private static List<LayerChange> inOrder(List<LayerChange> newestFirst) {
        List<LayerChange> all = new ArrayList<>(newestFirst);
        Collections.reverse(all);
        return all;
    }
}
