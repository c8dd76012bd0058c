package org.kindgirdle.server.journal;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface LayerEventRepository extends JpaRepository<LayerEventRow, Long> {

    List<LayerEventRow> findByLayerIdOrderById(long layerId);

    List<LayerEventRow> findByLayerIdInOrderById(Collection<Long> layerIds);
}
