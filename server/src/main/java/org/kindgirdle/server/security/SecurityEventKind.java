package org.kindgirdle.server.security;

/** What is written down of who may do what, for owners to read. */
public enum SecurityEventKind {
    SIGNED_IN,
    SIGN_IN_REFUSED,
    SIGN_IN_SLOWED,
    SIGNED_OUT,
    REFUSED,
    PERSON_ADDED,
    PERSON_CHANGED,
    PERSON_DISABLED,
    PERSON_ENABLED,
    PASSWORD_CHANGED,
    PASSWORD_GIVEN,
    SESSION_ENDED,
    EXPORTED,
    NURSERY_TAKEN,
    RESTORED
}
