package org.kindgirdle.server.security;

/** What a person may do: everything, record, or look on. */
public enum Role {
    OWNER,
    GROWER,
    VIEWER
}
