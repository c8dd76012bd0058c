package org.kindgirdle.server.species;

/** What is seen of the leaves of a species at a place. */
public enum LeafKind {
    LEAF_OUT,
    LEAF_FALL
}
