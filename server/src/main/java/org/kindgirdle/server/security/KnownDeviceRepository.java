package org.kindgirdle.server.security;

import java.time.Instant;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface KnownDeviceRepository extends JpaRepository<KnownDevice, Long> {

    Optional<KnownDevice> findByPersonIdAndTokenHash(long personId, String tokenHash);

    void deleteByPersonId(long personId);

    void deleteByLastUsedBefore(Instant moment);
}
