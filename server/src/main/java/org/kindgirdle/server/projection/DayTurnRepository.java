package org.kindgirdle.server.projection;

import java.time.LocalDate;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface DayTurnRepository extends JpaRepository<DayTurnRow, Integer> {

    @Query("select count(turn) > 0 from DayTurnRow turn where turn.asOf >= :day")
    boolean hasTurnedTo(LocalDate day);
}
