package org.kindgirdle.server.learn;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface TrialSlotRepository extends JpaRepository<TrialSlotRow, Long> {

    String SLOT = """
            select new org.kindgirdle.server.learn.TrialSlots$Slot(
                s.id, s.trialId, t.name, case when t.closedOn is null then false else true end, s.position, s.motherId,
                s.limbId, b.name, s.arm, a.recipeId, l.code, l.recipeId, l.rooted)
            from TrialSlotRow s
            join TrialRow t on t.id = s.trialId
            join TrialArmRow a on a.key.trialId = s.trialId and a.key.number = s.arm
            left join Layer l on l.id = s.layerId
            left join Limb b on b.id = s.limbId
            """;

    @Query(SLOT + "where s.id in :ids")
    List<TrialSlots.Slot> of(Collection<Long> ids);

    @Query(SLOT + "where s.trialId = :trial order by s.position")
    List<TrialSlots.Slot> ofTrial(long trial);

    @Query(SLOT + "order by s.trialId, s.position")
    List<TrialSlots.Slot> all();

    @Query(SLOT + "where l.code = :code")
    List<TrialSlots.Slot> ofLayer(String code);

    /** A layer has been set there. */
    @Modifying(flushAutomatically = true)
    @Query("""
            update TrialSlotRow s set s.layerId = (select l.id from Layer l where l.code = :code)
            where s.id = :id and s.layerId is null
            """)
    void fill(long id, String code);

    @Query("select arm from TrialArmRow arm where arm.key.trialId = :trial order by arm.key.number")
    List<TrialArmRow> arms(long trial);
}
