package org.kindgirdle.server.records;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.kindgirdle.core.layer.LayerEvent;
import org.springframework.stereotype.Component;

/** Reads the journals of many layers in one statement. */
@Component
public class Journals {

    private final LayerEventRepository events;
    private final RecordCodec codec;

    Journals(LayerEventRepository events, RecordCodec codec) {
        this.events = events;
        this.codec = codec;
    }

    /** By the layer's id; every layer has at least the record that set it. */
    public Map<Long, List<LayerEvent>> of(Collection<Long> layerIds) {
        if (layerIds.isEmpty()) {
            return Map.of();
        }
        Map<Long, List<LayerEvent>> journals = new HashMap<>();
        events.findByLayerIdInOrderById(layerIds)
                .forEach(row -> journals.computeIfAbsent(row.layerId, id -> new ArrayList<>())
                        .add(codec.event(row)));
        return journals;
    }
}
