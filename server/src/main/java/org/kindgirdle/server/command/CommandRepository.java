package org.kindgirdle.server.command;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface CommandRepository extends JpaRepository<CommandRow, UUID> {

    /**
     * MariaDB's own statement, for no other both waits for a sender who holds the same UUID and says without an error
     * that it was there: an insert that fails would end the transaction.
     *
     * @return 1 if it was not there yet
     */
    @Modifying
    @Query(
            nativeQuery = true,
            value = "insert ignore into command (id, person_id, kind, body_hash, response, created_at)"
                    + " values (:id, :personId, :kind, :bodyHash, 'null', :at)")
    int begin(String id, long personId, String kind, String bodyHash, Instant at);

    @Modifying
    @Query("update CommandRow command set command.response = :response where command.id = :id")
    void answer(UUID id, String response);
}
