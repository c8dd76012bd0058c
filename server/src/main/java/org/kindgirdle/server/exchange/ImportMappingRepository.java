package org.kindgirdle.server.exchange;

import java.time.Instant;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface ImportMappingRepository extends JpaRepository<ImportMappingRow, String> {

    /** In place of the one before, in one statement: two files with one header may end at once. */
    @Modifying
    @Query("""
            insert into ImportMappingRow (headerHash, mapping, usedAt) values (:headerHash, :mapping, :usedAt)
            on conflict (headerHash) do update set mapping = excluded.mapping, usedAt = excluded.usedAt
            """)
    void put(String headerHash, Mapping mapping, Instant usedAt);
}
