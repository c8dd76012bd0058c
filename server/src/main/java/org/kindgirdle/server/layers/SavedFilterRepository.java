package org.kindgirdle.server.layers;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface SavedFilterRepository extends JpaRepository<SavedFilterRow, Long> {

    List<SavedFilterRow> findByPersonIdOrderByName(long personId);

    /** The database compares names, capitals aside. */
    boolean existsByPersonIdAndName(long personId, String name);

    int countByPersonId(long personId);

    /** In place of the one of that name, if there is one, in one statement: two windows may save at once. */
    @Modifying
    @Query("""
            insert into SavedFilterRow (personId, name, query) values (:personId, :name, :query)
            on conflict (personId, name) do update set query = excluded.query
            """)
    void put(long personId, String name, String query);

    @Modifying
    @Query("delete from SavedFilterRow one where one.id = :id and one.personId = :personId")
    void remove(long id, long personId);
}
