package org.kindgirdle.server.journal;

import jakarta.persistence.LockModeType;
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
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface LayerRepository extends JpaRepository<Layer, Long> {

    Optional<Layer> findByCode(String code);

    List<Layer> findByIdGreaterThanOrderById(long id, Limit limit);

    @Query("select l.id from Layer l where l.id > :id order by l.id")
    List<Long> idsAfter(long id, Limit limit);

    List<Layer> findByIdInOrderById(Collection<Long> ids);

    @Query("select slot.layerId from TrialSlotRow slot where slot.trialId = :trial and slot.layerId is not null")
    List<Long> idsOfTrial(long trial);

    List<Layer> findByCodeIn(Collection<String> codes);

    List<Layer> findByBatchIdOrderByNumber(UUID batchId);

    /**
     * The lock of whoever records, the edition of the master data under it, the first day on which a layer was set, and
     * how many mothers there are.
     * By hand, for it is asked with every record: as one statement where Hibernate needs two, one to lock the row and
     * one to read what it does not hold. Only the lock's row is locked.
     */
    @Query(
            value = "select edition, (select min(set_on) from layer), (select count(*) from mother) from nursery_lock"
                    + " where id = 1 lock in share mode",
            nativeQuery = true)
    List<Object[]> sharedEdition();

    /** In the order of their codes, so that no two who lock several wait for one another. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select l from Layer l where l.code in :codes order by l.code")
    List<Layer> lockByCodes(Collection<String> codes);

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

    boolean existsByMinutesIsNull();

    /** How many of something there are, by its id. */
    record Count(long id, long layers) {}

    @Query("""
            select new org.kindgirdle.server.journal.LayerRepository$Count(l.motherId, count(*))
            from Layer l where l.phase <> :without group by l.motherId
            """)
    List<Count> countByMother(LayerPhase without);

    @Query("""
            select new org.kindgirdle.server.journal.LayerRepository$Count(l.motherId, count(*))
            from Layer l where l.phase = :phase and l.method in :methods group by l.motherId
            """)
    List<Count> countByMother(LayerPhase phase, Collection<Method> methods);

    long countByMotherIdAndPhaseAndMethodIn(long motherId, LayerPhase phase, Collection<Method> methods);

    @Query("""
            select new org.kindgirdle.server.journal.SetCounts$SetCount(m.speciesCode, l.setOn, cast(count(*) as Integer))
            from Layer l join Mother m on m.id = l.motherId
            where l.setOn >= :from and l.setOn < :to and l.phase <> :without
            group by m.speciesCode, l.setOn order by l.setOn
            """)
    List<SetCounts.SetCount> countSet(LocalDate from, LocalDate to, LayerPhase without);

    /** How many layers are in a phase, and whether they have stood on a rung of the ladder. */
    record PhaseCount(LayerPhase phase, boolean offMother, long layers) {}

    @Query("""
            select new org.kindgirdle.server.journal.LayerRepository$PhaseCount(
                l.phase, case when l.rung is null then false else true end, count(*))
            from Layer l join Mother m on m.id = l.motherId where m.speciesCode = :species
            group by l.phase, case when l.rung is null then false else true end
            """)
    List<PhaseCount> countByPhase(String species);

    /** The year, the phase, the method, and how many there are. */
    record YearCount(int year, LayerPhase phase, Method method, long layers) {}

    @Query("""
            select new org.kindgirdle.server.journal.LayerRepository$YearCount(
                year(l.setOn), l.phase, l.method, count(*))
            from Layer l where l.motherId = :motherId and l.phase <> :without
            group by year(l.setOn), l.phase, l.method
            """)
    List<YearCount> countByYear(long motherId, LayerPhase without);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("update Layer l set l.motherId = :into where l.motherId = :from")
    void move(long from, long into);

    List<Layer> findByNumberGreaterThanOrderByNumber(int number, Limit limit);

    List<Layer> findByCodeInOrderByNumber(Collection<String> codes);

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
            select new org.kindgirdle.server.journal.LayerRepository$DueRow(
                l.code, l.motherId, l.standsAt, l.method, l.job,
                cast(function('to_days', coalesce(l.jobFrom, l.jobBy)) as Integer),
                cast(function('to_days', l.jobBy) as Integer), l.alsoDo)
            from Layer l where l.phase in :phases and l.jobBy < :day
            """)
    List<DueRow> dueBefore(Collection<LayerPhase> phases, LocalDate day);

    long countByPhaseInAndJobByGreaterThanEqual(Collection<LayerPhase> phases, LocalDate day);

    /** What was found last. */
    record SeenRow(String code, LayerPhase phase, RootStage stage, double fillPercent) {}

    @Query("""
            select new org.kindgirdle.server.journal.LayerRepository$SeenRow(l.code, l.phase, l.stage, l.fillPercent)
            from Layer l where l.code in :codes
            """)
    List<SeenRow> seen(Collection<String> codes);

    @Query("select l from Layer l where l.phase in :off or l.phase = :on and l.cutOn <= :day order by l.id")
    List<Layer> findToPot(Collection<LayerPhase> off, LayerPhase on, LocalDate day);
}
