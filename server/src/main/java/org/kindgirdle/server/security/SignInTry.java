package org.kindgirdle.server.security;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A try to sign in that failed, or has not come to its end yet. */
@Entity
@Table(name = "sign_in_failure")
class SignInTry {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    String name = "";
    String address = "";
    Instant at = Instant.EPOCH;

    /** hash of the device's token where that person has signed in on it before; empty for a stranger's */
    String device = "";

    protected SignInTry() {}

    SignInTry(String name, String address, String device, Instant at) {
        this.name = name;
        this.address = address;
        this.device = device;
        this.at = at;
    }
}
