package org.kindgirdle.core.set;

/** Where on the limb the upper cut lies. */
public enum Position {
    BELOW_NODE,
    BETWEEN_NODES,
    NODE_IN_RING,
    AT_FORK
}
