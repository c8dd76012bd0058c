package org.kindgirdle.server.records;

import java.util.Collection;
import java.util.List;
import org.springframework.data.repository.Repository;

/** The records of layers, in the order in which they were written. */
interface LayerEventRepository extends Repository<LayerEventRow, Long> {

    List<LayerEventRow> findByLayerIdInOrderById(Collection<Long> layerIds);
}
