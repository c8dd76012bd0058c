package org.kindgirdle.server.nursery;

/** Whose frosts reach a place. */
public enum PlaceFrosts {
    SITE,
    NONE,
    OWN
}
