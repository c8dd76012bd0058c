package org.kindgirdle.server.calendar;

import java.time.LocalDate;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface CalendarEntryRepository extends JpaRepository<CalendarEntryRow, String> {

    @Modifying
    @Query("delete from CalendarEntryRow one where one.toDay < :day")
    void forgetBefore(LocalDate day);
}
