package org.kindgirdle.server.journal;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface SavedFilterRepository extends JpaRepository<SavedFilterRow, Long> {

    List<SavedFilterRow> findByPersonIdOrderByName(long personId);

    /** The database compares names, capitals aside. */
    Optional<SavedFilterRow> findByPersonIdAndName(long personId, String name);

    int countByPersonId(long personId);

    @Modifying
    @Query("delete from SavedFilterRow one where one.id = :id and one.personId = :personId")
    void remove(long id, long personId);
}
