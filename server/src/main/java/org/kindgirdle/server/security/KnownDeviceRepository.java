package org.kindgirdle.server.security;

import java.time.Instant;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface KnownDeviceRepository extends JpaRepository<KnownDevice, Long> {

    Optional<KnownDevice> findByPersonIdAndTokenHash(long personId, String tokenHash);

    /** Two windows of one browser may sign in at once. */
    @Modifying
    @Query("""
            insert into KnownDevice (personId, tokenHash, lastUsed) values (:personId, :tokenHash, :lastUsed)
            on conflict (tokenHash, personId) do update set lastUsed = excluded.lastUsed
            """)
    void put(long personId, String tokenHash, Instant lastUsed);

    void deleteByPersonId(long personId);

    void deleteByLastUsedBefore(Instant moment);
}
