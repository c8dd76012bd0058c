package org.kindgirdle.server.time;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface DemoClockRepository extends JpaRepository<DemoClockRow, Integer> {

    @Query("select clock.today from DemoClockRow clock")
    LocalDate today();

    /** The site's time zone; empty until there is a site. */
    @Query("select site.zone from Site site")
    Optional<String> zone();

    /** Forward only. What was loaded on the day before is let go: a season is played in one go. @return 1 if it moved */
    @Transactional
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("update DemoClockRow clock set clock.today = :day where clock.today < :day")
    int moveTo(LocalDate day);
}
