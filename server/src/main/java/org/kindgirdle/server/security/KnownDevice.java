package org.kindgirdle.server.security;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A device on which somebody has signed in before. */
@Entity
class KnownDevice {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    long personId;
    String tokenHash = "";
    Instant lastUsed = Instant.EPOCH;

    protected KnownDevice() {}
}
