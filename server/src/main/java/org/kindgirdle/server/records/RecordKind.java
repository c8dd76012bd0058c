package org.kindgirdle.server.records;

import java.util.Arrays;
import org.kindgirdle.core.layer.LayerRecord;

/** The kinds of record by the name that the journal and the API use. */
public enum RecordKind {
    SET(LayerRecord.Setting.class),
    LOOKED(LayerRecord.Looked.class),
    WRAP_SEEN(LayerRecord.WrapSeen.class),
    TOPPED_UP(LayerRecord.ToppedUp.class),
    RERUNG(LayerRecord.Rerung.class),
    STOOD_IN_WATER(LayerRecord.StoodInWater.class),
    TENDED(LayerRecord.Tended.class),
    CHOSEN(LayerRecord.Chosen.class),
    CUT_PLANNED(LayerRecord.CutPlanned.class),
    SEVERED(LayerRecord.Severed.class),
    POTTED(LayerRecord.Potted.class),
    MOVED(LayerRecord.Moved.class),
    OBSERVED(LayerRecord.Observed.class),
    RELEASED(LayerRecord.Released.class),
    LOST(LayerRecord.Lost.class),
    DEFERRED(LayerRecord.Deferred.class),
    NOTED(LayerRecord.Noted.class),
    WITHDRAWN(LayerRecord.Withdrawn.class);

    private final Class<? extends LayerRecord> type;

    RecordKind(Class<? extends LayerRecord> type) {
        this.type = type;
    }

    public Class<? extends LayerRecord> type() {
        return type;
    }

    public static RecordKind of(LayerRecord what) {
        return Arrays.stream(values())
                .filter(kind -> kind.type.isInstance(what))
                .findFirst()
                .orElseThrow();
    }
}
