package org.kindgirdle.bench;

/** Seconds, and how they are told. */
final class Measured {

    private Measured() {}

    static double since(long began) {
        return (System.nanoTime() - began) / 1e9;
    }

    static void say(String what, double seconds) {
        System.out.printf("%-70s %8.2f s%n", what, seconds);
    }
}
