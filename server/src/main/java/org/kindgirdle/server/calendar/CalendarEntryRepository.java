package org.kindgirdle.server.calendar;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface CalendarEntryRepository extends JpaRepository<CalendarEntryRow, String> {

    @Modifying
    @Query("delete from CalendarEntryRow one where one.toDay < :day")
    void forgetBefore(LocalDate day);

    /** What was never told; two calendars may be read for the first time at once, and both tell it alike. */
    @Modifying
    @Query("""
            insert into CalendarEntryRow (uid, fromDay, toDay, summary, description, sequence, changedAt, cancelled)
            values (:uid, :fromDay, :toDay, :summary, :description, 0, :changedAt, false)
            on conflict (uid) do nothing
            """)
    void tellFirst(
            String uid, LocalDate fromDay, LocalDate toDay, String summary, String description, Instant changedAt);

    /** Nobody else changes what was told meanwhile. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select one from CalendarEntryRow one order by one.uid")
    List<CalendarEntryRow> lockAll();
}
