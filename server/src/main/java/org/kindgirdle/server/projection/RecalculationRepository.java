package org.kindgirdle.server.projection;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface RecalculationRepository extends JpaRepository<RecalculationRow, Integer> {

    @Query("select new org.kindgirdle.server.projection.Recalculation$Progress(one.running, one.done, one.total)"
            + " from RecalculationRow one")
    Recalculation.Progress progress();

    @Query("select one.nextId from RecalculationRow one")
    long nextId();

    @Modifying
    @Query("update RecalculationRow one set one.nextId = 0, one.done = 0, one.total = :total, one.running = true")
    void begin(int total);

    @Modifying
    @Query("update RecalculationRow one set one.running = false where one.running = true")
    void cancel();

    @Modifying
    @Query("update RecalculationRow one set one.nextId = :nextId, one.done = one.done + :some, one.running = :more")
    void advance(long nextId, int some, boolean more);
}
