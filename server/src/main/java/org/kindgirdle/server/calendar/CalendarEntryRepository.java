package org.kindgirdle.server.calendar;

import jakarta.persistence.LockModeType;
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

    /** Nobody else tells meanwhile. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select one from CalendarEntryRow one order by one.uid")
    List<CalendarEntryRow> lockAll();
}
