package org.kindgirdle.server.security;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.units.Units;

/** Somebody who can sign in. */
@Entity
class Person {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    String name;
    String fullName;
    String passwordHash;

    @Enumerated(EnumType.STRING)
    Role role;

    @Enumerated(EnumType.STRING)
    Units units;

    /** since when the person signs in no more; null for whoever does */
    @Nullable
    Instant disabledAt;

    @Version
    long version;

    @SuppressWarnings("NullAway.Init")
    protected Person() {}

    Person(String name, String fullName, String passwordHash, Role role, Units units) {
        this.name = name;
        this.fullName = fullName;
        this.passwordHash = passwordHash;
        this.role = role;
        this.units = units;
    }
}
