package org.kindgirdle.core.growth;

/** How well a species does on its own roots. */
public enum OwnRoots {
    GOOD,
    FAIR,
    POOR
}
