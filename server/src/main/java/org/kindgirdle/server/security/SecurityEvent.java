package org.kindgirdle.server.security;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** One line of the log of security events. It is never changed, and names are copied into it. */
@Entity
@Immutable
class SecurityEvent {

    /** Of the columns. */
    private static final int MAX_NAME = 40;

    private static final int MAX_ADDRESS = 60;
    private static final int MAX_DETAIL = 300;

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    Instant at = Instant.EPOCH;

    @Enumerated(EnumType.STRING)
    SecurityEventKind kind = SecurityEventKind.SIGNED_IN;

    String personName = "";
    String address = "";
    String detail = "";

    protected SecurityEvent() {}

    SecurityEvent(Instant at, SecurityEventKind kind, String personName, String address, String detail) {
        this.at = at;
        this.kind = kind;
        this.personName = cut(personName, MAX_NAME);
        this.address = cut(address, MAX_ADDRESS);
        this.detail = cut(detail, MAX_DETAIL);
    }

    private static String cut(String text, int most) {
        return text.substring(0, Math.min(most, text.length()));
    }
}
