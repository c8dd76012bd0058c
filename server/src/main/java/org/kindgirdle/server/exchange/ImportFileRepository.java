package org.kindgirdle.server.exchange;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface ImportFileRepository extends JpaRepository<ImportFileRow, UUID> {

    /** Unless it is here already: a sender who heard nothing sends again, perhaps while the first is still on its way. */
    @Modifying
    @Query("""
            insert into ImportFileRow
                    (id, personId, name, nursery, bytes, madeAt, state, done, cancelled, head)
            values (:id, :personId, :name, :nursery, :bytes, :madeAt, :state, 0, false, :head)
            on conflict (id) do nothing
            """)
    void add(
            UUID id,
            long personId,
            String name,
            boolean nursery,
            long bytes,
            Instant madeAt,
            ImportStore.State state,
            ImportStore.Head head);

    @Query("select file.id from ImportFileRow file where file.madeAt < :before")
    List<UUID> olderThan(Instant before);

    @Modifying
    @Query("update ImportFileRow file set file.state = :to where file.state in :from")
    void end(Collection<ImportStore.State> from, ImportStore.State to);

    @Modifying
    @Query("update ImportFileRow file set file.done = :done where file.id = :id")
    void advance(UUID id, long done);

    @Query("select file.cancelled from ImportFileRow file where file.id = :id")
    Optional<Boolean> isCancelled(UUID id);

    @Modifying
    @Query("update ImportFileRow file set file.cancelled = true where file.id = :id")
    void cancel(UUID id);

    @Modifying
    @Query("update ImportFileRow file set file.personId = :personId")
    void giveAllTo(long personId);

    @Modifying
    @Query("delete from ImportFileRow file where file.id = :id")
    void remove(UUID id);
}
