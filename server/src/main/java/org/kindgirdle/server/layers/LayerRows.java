package org.kindgirdle.server.layers;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.growth.RootStage;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.look.AlsoDo;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.server.projection.Layer;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** The rows that lists and pages are made of. */
interface LayerRows extends Repository<Layer, Long> {

    Optional<Layer> findByCode(String code);

    @Query("select slot.layerId from TrialSlotRow slot where slot.trialId = :trial and slot.layerId is not null")
    List<Long> idsOfTrial(long trial);

    List<Layer> findByCodeIn(Collection<String> codes);

    List<Layer> findByBatchIdOrderByNumber(UUID batchId);

    List<Layer> findByMotherIdInAndSetOnGreaterThanEqualAndPhaseNot(
            Collection<Long> mothers, LocalDate from, LayerPhase phase);

    List<Layer> findByLimbIdInAndPhase(Collection<Long> limbs, LayerPhase phase);

    List<Layer> findByPhaseOrderById(LayerPhase phase);

    List<Layer> findByPhaseInOrderByIdDesc(Collection<LayerPhase> phases, Limit limit);

    /** On their mothers, and to be cut, held back from it, or likely full by a day; the most pressing first. */
    @Query(
            "select l from Layer l where l.phase = org.kindgirdle.core.layer.LayerPhase.ON_MOTHER and (l.cutOn is not null"
                    + " or l.step in :steps or l.stage in :full or l.stage = :nearly and l.ready50On <= :by)"
                    + " order by l.jobBy, l.id")
    List<Layer> findToBeCut(
            Collection<String> steps, Collection<RootStage> full, RootStage nearly, LocalDate by, Limit limit);

    List<Layer> findByMotherIdAndPhaseNotAndLimbIdNotNullOrderById(long motherId, LayerPhase phase);

    @Query("select distinct l.hand from Layer l where l.setOn >= :since and l.hand <> ''")
    List<String> handsSince(LocalDate since);

    /** What a walk has to know of a layer whose job falls due; days counted from year 0, for thousands of them are read with each walk. */
    record DueRow(
            String code,
            long motherId,
            @Nullable Long standsAt,
            Method method,
            String job,
            Integer from,
            Integer by,
            Set<AlsoDo> alsoDo) {}

    @Query("""
            select new org.kindgirdle.server.layers.LayerRows$DueRow(
                l.code, l.motherId, l.standsAt, l.method, l.job,
                cast(function('to_days', coalesce(l.jobFrom, l.jobBy)) as Integer),
                cast(function('to_days', l.jobBy) as Integer), l.alsoDo)
            from Layer l where l.phase in :phases and l.jobBy < :day
            """)
    List<DueRow> dueBefore(Collection<LayerPhase> phases, LocalDate day);

    /** Up to so many: in a large nursery most layers have time, and to count them all took longer than the plan. In the order of the index. */
    @Query("""
            select count(*) from (
                select l.id as id from Layer l where l.phase in :phases and l.jobBy >= :day
                order by l.phase, l.jobBy limit :most) some
            """)
    long countFrom(Collection<LayerPhase> phases, LocalDate day, int most);

    /** What was found last. */
    record SeenRow(
            String code,
            LayerPhase phase,
            RootStage stage,
            @Nullable Double fillPercent) {}

    @Query("""
            select new org.kindgirdle.server.layers.LayerRows$SeenRow(l.code, l.phase, l.stage, l.fillPercent)
            from Layer l where l.code in :codes
            """)
    List<SeenRow> seen(Collection<String> codes);

    @Query("select l from Layer l where l.phase in :off or l.phase = :on and l.cutOn <= :day order by l.id")
    List<Layer> findToPot(Collection<LayerPhase> off, LayerPhase on, LocalDate day);
}
