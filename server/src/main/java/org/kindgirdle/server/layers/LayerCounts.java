package org.kindgirdle.server.layers;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import org.kindgirdle.core.layer.LayerPhase;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.server.projection.Layer;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** How many layers there are of something. */
interface LayerCounts extends Repository<Layer, Long> {

    /** How many of something there are, by its id. */
    record Count(long id, long layers) {}

    @Query("""
            select new org.kindgirdle.server.layers.LayerCounts$Count(l.motherId, count(*))
            from Layer l where l.phase <> :without group by l.motherId
            """)
    List<Count> countByMother(LayerPhase without);

    @Query("""
            select new org.kindgirdle.server.layers.LayerCounts$Count(l.motherId, count(*))
            from Layer l where l.phase = :phase and l.method in :methods group by l.motherId
            """)
    List<Count> countByMother(LayerPhase phase, Collection<Method> methods);

    long countByMotherIdAndPhaseAndMethodIn(long motherId, LayerPhase phase, Collection<Method> methods);

    @Query("""
            select new org.kindgirdle.server.layers.SetCounts$SetCount(m.speciesCode, l.setOn, cast(count(*) as Integer))
            from Layer l join Mother m on m.id = l.motherId
            where l.setOn >= :from and l.setOn < :to and l.phase <> :without
            group by m.speciesCode, l.setOn order by l.setOn
            """)
    List<SetCounts.SetCount> countSet(LocalDate from, LocalDate to, LayerPhase without);

    /** How many layers are in a phase, and whether they have stood on a rung of the ladder. */
    record PhaseCount(LayerPhase phase, boolean offMother, long layers) {}

    @Query("""
            select new org.kindgirdle.server.layers.LayerCounts$PhaseCount(
                l.phase, case when l.rung is null then false else true end, count(*))
            from Layer l join Mother m on m.id = l.motherId where m.speciesCode = :species
            group by l.phase, case when l.rung is null then false else true end
            """)
    List<PhaseCount> countByPhase(String species);

    /** The year, the phase, the method, and how many there are. */
    record YearCount(int year, LayerPhase phase, Method method, long layers) {}

    @Query("""
            select new org.kindgirdle.server.layers.LayerCounts$YearCount(
                year(l.setOn), l.phase, l.method, count(*))
            from Layer l where l.motherId = :motherId and l.phase <> :without
            group by year(l.setOn), l.phase, l.method
            """)
    List<YearCount> countByYear(long motherId, LayerPhase without);
}
