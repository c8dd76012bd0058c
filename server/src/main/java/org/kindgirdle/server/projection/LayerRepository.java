package org.kindgirdle.server.projection;

import java.util.Collection;
import java.util.List;
import org.kindgirdle.core.layer.LayerPhase;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The rows that are made anew. */
interface LayerRepository extends JpaRepository<Layer, Long> {

    List<Layer> findByIdGreaterThanOrderById(long id, Limit limit);

    @Query("select l.id from Layer l where l.id > :id order by l.id")
    List<Long> idsAfter(long id, Limit limit);

    List<Layer> findByIdInOrderById(Collection<Long> ids);

    List<Layer> findByMotherIdAndPhaseInOrderById(long motherId, Collection<LayerPhase> phases);

    List<Layer> findByPhaseInAndIdGreaterThanOrderById(Collection<LayerPhase> phases, long id, Limit limit);

    int countByPhaseIn(Collection<LayerPhase> phases);

    List<Layer> findByPhaseInOrderById(Collection<LayerPhase> phases);

    List<Layer> findByLimbIdInAndPhase(Collection<Long> limbs, LayerPhase phase);

    boolean existsByMinutesIsNull();

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("update Layer l set l.motherId = :into where l.motherId = :from")
    void move(long from, long into);
}
