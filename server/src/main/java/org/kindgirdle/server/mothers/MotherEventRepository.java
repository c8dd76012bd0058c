package org.kindgirdle.server.mothers;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface MotherEventRepository extends JpaRepository<MotherEventRow, Long> {

    /** @param by whoever recorded it, by the full name where that is known */
    record Signed(MotherEventRow event, String by) {}

    /** The newest first. */
    @Query("""
            select new org.kindgirdle.server.mothers.MotherEventRepository$Signed(
                event, coalesce(person.fullName, event.recordedBy))
            from MotherEventRow event left join Person person on person.name = event.recordedBy
            where event.motherId = :motherId order by event.id desc
            """)
    List<Signed> of(long motherId);

    List<MotherEventRow> findByKindOrderByIdDesc(MotherHistory.EntryKind kind);
}
