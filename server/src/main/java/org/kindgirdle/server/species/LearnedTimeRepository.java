package org.kindgirdle.server.species;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface LearnedTimeRepository extends JpaRepository<LearnedTimeRow, Long> {

    List<LearnedTimeRow> findBySpeciesCodeOrderByIdDesc(String speciesCode);

    /** The newest of each species that was settled by a day. */
    @Query("""
            select one from LearnedTimeRow one
            where one.id in (
                select max(other.id) from LearnedTimeRow other where other.madeOn <= :day group by other.speciesCode)
            """)
    List<LearnedTimeRow> newestBy(LocalDate day);
}
