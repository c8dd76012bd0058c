package org.kindgirdle.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.kindgirdle.server.harness.Client;
import tools.jackson.databind.JsonNode;

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

    /** Sets layers in batches over the API, on every sound mother in turn, over the sixty days before today. */
    static void setLayers(Client owner, LocalDate today, int count, int batchOf) {
        List<JsonNode> mothers = owner.get("/api/v1/mothers")
                .body()
                .valueStream()
                .filter(mother -> !mother.path("sick").asBoolean())
                .toList();
        long recipe = owner.get("/api/v1/recipes").body().at("/0/id").asLong();
        List<Map<String, Object>> rows = new ArrayList<>();
        for (int i = 0; i < batchOf; i++) {
            rows.add(branch(12 + i % 9));
        }
        for (int batch = 0; batch < count / batchOf; batch++) {
            Map<String, Object> body = new HashMap<>();
            body.put("motherId", mothers.get(batch % mothers.size()).path("id").asLong());
            body.put("recipeId", recipe);
            body.put("setOn", today.minusDays(batch % 60).toString());
            body.put("reason", "to measure");
            body.put("rows", rows);
            owner.post("/api/v1/batches", body).expect(201);
        }
    }

    /** Waits until the application has worked out what follows from what was written: an idle one is measured. */
    static void awaitRecalculation(Client owner) {
        while (owner.get("/api/v1/recalculation").body().path("running").asBoolean()) {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(100));
        }
    }

    static double since(long began) {
        return (System.nanoTime() - began) / 1e9;
    }

    static void say(String what, double seconds) {
        System.out.printf("%-70s %8.2f s%n", what, seconds);
    }
}
