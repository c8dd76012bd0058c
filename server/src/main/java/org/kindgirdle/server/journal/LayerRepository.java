package org.kindgirdle.server.journal;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerPhase;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface LayerRepository extends JpaRepository<Layer, Long> {

    Optional<Layer> findByCode(String code);

    List<Layer> findByIdGreaterThanOrderById(long id, Limit limit);

    @Query("select l.id from Layer l where l.id > :id order by l.id")
    List<Long> idsAfter(long id, Limit limit);

    List<Layer> findByIdInOrderById(Collection<Long> ids);

    List<Layer> findByCodeIn(Collection<String> codes);

    List<Layer> findByBatchIdOrderByNumber(UUID batchId);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from Layer l where l.code = :code")
    Optional<Layer> lockByCode(String code);

    List<Layer> findByMotherIdAndPhaseInOrderById(long motherId, Collection<LayerPhase> phases);

    List<Layer> findByPhaseInAndIdGreaterThanOrderById(Collection<LayerPhase> phases, long id, Limit limit);

    int countByPhaseIn(Collection<LayerPhase> phases);

    List<Layer> findByPhaseInOrderById(Collection<LayerPhase> phases);

    List<Layer> findByMotherIdInAndSetOnGreaterThanEqualAndPhaseNot(
            Collection<Long> mothers, LocalDate from, LayerPhase phase);

    List<Layer> findByLimbIdInAndPhase(Collection<Long> limbs, LayerPhase phase);

    List<Layer> findByPhaseOrderById(LayerPhase phase);

    List<Layer> findByPhaseAndCutOnLessThanEqualOrderById(LayerPhase phase, LocalDate day);

    List<Layer> findByPhaseInOrderByIdDesc(Collection<LayerPhase> phases, Limit limit);

    /** On their mothers, and to be cut, held back from it, or likely full by a day; the most pressing first. */
    @Query(
            "select l from Layer l where l.phase = org.kindgirdle.core.layer.LayerPhase.ON_MOTHER and (l.cutOn is not null"
                    + " or l.step in :steps or l.stage in :full or l.stage = :nearly and l.ready50On <= :by)"
                    + " order by l.jobBy, l.id")
    List<Layer> findToBeCut(
            Collection<String> steps, Collection<RootStage> full, RootStage nearly, LocalDate by, Limit limit);

    List<Layer> findByMotherIdAndPhaseNotAndLimbIdNotNullOrderById(long motherId, LayerPhase phase);
}
