package org.kindgirdle.bench;

import java.util.Map;

/** What the runs set, and how their seconds are told. */
final class Measured {

    private Measured() {}

    /** A branch as a grower would type it. */
    static Map<String, Object> branch(double diameterMm) {
        return Map.of(
                "diameterMm",
                diameterMm,
                "wood",
                "ONE_TWO",
                "position",
                "BELOW_NODE",
                "leavesBeyond",
                9,
                "fromUnionMm",
                300,
                "leanDeg",
                20,
                "specimen",
                false,
                "fruitToKeep",
                false);
    }

    static double since(long began) {
        return (System.nanoTime() - began) / 1e9;
    }

    static void say(String what, double seconds) {
        System.out.printf("%-70s %8.2f s%n", what, seconds);
    }
}
