package org.kindgirdle.bench;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.server.harness.Client;

/**
 * Measures the ledger over 200,000 layers, most of them finished; run by {@code ./kg bench ledger} only. It asserts
 * nothing: it says what it found.
 */
class LedgerRun {

    private static final int TIMES = 15;

    @Test
    void measure() throws Exception {
        try (RunningApplication application = RunningApplication.demo()) {
            Client owner = application.measuredApi("maren");
            LargeNursery.grow(owner, application.database());
            for (String by : List.of("SPECIES", "MOTHER", "RECIPE", "WEEK", "HAND", "YEAR")) {
                time(owner, "by " + by.toLowerCase(Locale.ROOT), "/api/v1/ledger?by=" + by);
            }
            time(owner, "one species, by week", "/api/v1/ledger?by=WEEK&species=CYDOBL");
            time(owner, "how long it takes, one species", "/api/v1/ready-times?species=CYDOBL");
            time(owner, "how good the dates were", "/api/v1/backtests");
            time(owner, "the report of a year", "/api/v1/season-report?year=2023");
        }
    }

    private static void time(Client owner, String what, String path) {
        long began = System.nanoTime();
        owner.get(path).expect(200);
        double first = (System.nanoTime() - began) / 1e6;
        double[][] times = Measured.ask(owner, TIMES, i -> path);
        System.out.printf(
                Locale.ROOT,
                "%-40s first %7.1f ms  p50 %7.1f ms  p95 %7.1f ms%n",
                what,
                first,
                Measured.over(times, .5),
                Measured.over(times, .95));
    }
}
