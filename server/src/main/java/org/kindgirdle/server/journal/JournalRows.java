package org.kindgirdle.server.journal;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.kindgirdle.server.records.LayerEventRow;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** The records that journals are appended to, and given away whole. */
interface JournalRows extends Repository<LayerEventRow, Long> {

    List<LayerEventRow> findByLayerIdOrderById(long layerId);

    List<LayerEventRow> findByLayerIdInOrderById(Collection<Long> layerIds);

    void save(LayerEventRow row);

    void saveAll(Iterable<LayerEventRow> rows);

    /** A record, and the code of its layer. */
    record Of(UUID record, String code) {}

    @Query("select new org.kindgirdle.server.journal.JournalRows$Of(e.uuid, l.code)"
            + " from LayerEventRow e join Layer l on l.id = e.layerId where e.uuid in :records")
    List<Of> layersOf(Collection<UUID> records);
}
