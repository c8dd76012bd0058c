package org.kindgirdle.server.places;

/** Whose frosts reach a place. */
public enum PlaceFrosts {
    SITE,
    NONE,
    OWN
}
