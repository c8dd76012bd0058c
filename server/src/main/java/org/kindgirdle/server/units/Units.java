package org.kindgirdle.server.units;

/** The units in which a person reads quantities; what is stored is SI. */
public enum Units {
    METRIC,
    US
}
