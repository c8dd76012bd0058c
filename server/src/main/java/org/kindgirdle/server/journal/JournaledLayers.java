package org.kindgirdle.server.journal;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.kindgirdle.server.projection.Layer;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** The layers whose journals are written or given away. */
interface JournaledLayers extends Repository<Layer, Long> {

    /** In the order of their codes, so that no two who lock several wait for one another. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from Layer l where l.code in :codes order by l.code")
    List<Layer> lockByCodes(Collection<String> codes);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from Layer l where l.code = :code")
    Optional<Layer> lockByCode(String code);

    List<Layer> findByCodeIn(Collection<String> codes);

    List<Layer> findByNumberGreaterThanOrderByNumber(int number, Limit limit);

    List<Layer> findByCodeInOrderByNumber(Collection<String> codes);

    Layer save(Layer layer);
}
