package org.kindgirdle.bench;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.server.harness.Client;
import tools.jackson.databind.JsonNode;

/**
 * Measures the potting shed in a nursery with 500 full balls and 1,000 young plants; run by {@code ./kg bench shed}
 * only. It asserts nothing: it says what it found.
 */
class ShedRun {

    private static final int LAYERS = 1_500;
    private static final int FULL = 500;
    private static final int BATCH = 100;
    private static final int TIMES = 20;
    private static final LocalDate TODAY = LocalDate.of(2026, 7, 10);

    @Test
    void measure() {
        try (RunningApplication application = RunningApplication.demo()) {
            Client owner = application.measuredApi("maren");
            Measured.setLayers(owner, TODAY.minusDays(50), LAYERS, BATCH);
            long began = System.nanoTime();
            int done = 0;
            String cursor = "";
            while (done < LAYERS) {
                JsonNode page =
                        owner.get("/api/v1/layers?limit=500&sort=code" + cursor).body();
                for (JsonNode one : page.path("layers")) {
                    if (one.path("phase").asString().equals("ON_MOTHER") && done < LAYERS) {
                        fill(owner, one.path("code").asString(), done++ < FULL);
                    }
                }
                if (page.path("next").isNull() || page.path("next").isMissingNode()) {
                    break;
                }
                cursor = "&cursor=" + page.path("next").asString();
            }
            Measured.say(done + " layers looked at, " + (done - FULL) + " severed and potted", Measured.since(began));
            time(owner, "sever today", "/api/v1/severing");
            time(owner, "the day's potting", "/api/v1/potting");
            time(owner, "the ladder", "/api/v1/ladder");
        }
    }

    private static void fill(Client owner, String code, boolean stays) {
        if (stays) {
            record(
                    owner,
                    code,
                    "LOOKED",
                    Map.of(
                            "stage",
                            "FILLED",
                            "sectors",
                            List.of(3, 3, 3, 3, 3, 3, 3, 3),
                            "fillPercent",
                            100,
                            "conditions",
                            List.of()));
        } else {
            record(owner, code, "SEVERED", Map.of("leavesBefore", 9, "leavesLeft", 5));
            record(owner, code, "POTTED", Map.of("medium", "LIGHT_MIX", "potMl", 2000));
        }
    }

    private static void record(Client owner, String code, String kind, Map<String, Object> details) {
        owner.post("/api/v1/layers/" + code + "/records", Map.of("kind", kind, "details", details));
    }

    private static void time(Client owner, String what, String path) {
        for (int i = 0; i < 5; i++) {
            owner.get(path).expect(200);
        }
        double[][] times = Measured.ask(owner, TIMES, i -> path);
        System.out.printf(
                Locale.ROOT,
                "%-40s p50 %6.1f ms  p95 %6.1f ms%n",
                what,
                Measured.over(times, .5),
                Measured.over(times, .95));
    }
}
