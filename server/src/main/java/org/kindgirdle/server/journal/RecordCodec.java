package org.kindgirdle.server.journal;

import java.util.List;
import org.kindgirdle.core.layer.LayerEvent;
import org.kindgirdle.core.layer.LayerRecord;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Between the records of the core and the JSON of the journal. */
@Component
class RecordCodec {

    private final JsonMapper json;

    RecordCodec(JsonMapper json) {
        this.json = json;
    }

    LayerRecord read(RecordKind kind, JsonNode details) {
        return json.treeToValue(details, kind.type());
    }

    String write(Object value) {
        return json.writeValueAsString(value);
    }

    JsonNode tree(String text) {
        return json.readTree(text);
    }

    LayerEvent event(LayerEventRow row) {
        return new LayerEvent(
                row.uuid,
                row.onDate,
                row.occurredAt,
                row.recordedAt,
                row.corrects,
                json.readValue(row.details, row.kind.type()));
    }

    List<LayerEvent> events(List<LayerEventRow> rows) {
        return rows.stream().map(this::event).toList();
    }
}
