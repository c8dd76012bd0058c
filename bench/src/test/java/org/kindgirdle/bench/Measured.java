package org.kindgirdle.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.IntFunction;
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

    /** What is measured is measured so often, and the median is told. */
    static final int RUNS = 5;

    /** Something that takes a while, and may be stopped. */
    @FunctionalInterface
    interface Work {
        void run() throws Exception;
    }

    /** Does it several times and tells the median, with the least and the most beside it. */
    static void median(String what, Work work) throws Exception {
        double[] seconds = new double[RUNS];
        for (int i = 0; i < RUNS; i++) {
            long began = System.nanoTime();
            work.run();
            seconds[i] = since(began);
        }
        say(what, seconds);
    }

    /** @param seconds of each run; sorted by this */
    static void say(String what, double[] seconds) {
        Arrays.sort(seconds);
        System.out.printf(
                Locale.ROOT,
                "%-70s %8.2f s, median of %d (%.2f to %.2f)%n",
                what,
                seconds[seconds.length / 2],
                seconds.length,
                seconds[0],
                seconds[seconds.length - 1]);
    }

    static double median(double[] figures) {
        double[] sorted = figures.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    /** @param share of the figures that are as small, 0 to 1 */
    static double percentile(double[] figures, double share) {
        double[] sorted = figures.clone();
        Arrays.sort(sorted);
        return sorted[(int) Math.max(0, Math.ceil(share * sorted.length) - 1)];
    }

    /** Asks the same so many times, in as many runs as all is measured in. @return milliseconds, by run */
    static double[][] ask(Client who, int times, IntFunction<String> path) {
        double[][] asked = new double[RUNS][times];
        for (double[] run : asked) {
            for (int i = 0; i < times; i++) {
                String one = path.apply(i);
                long began = System.nanoTime();
                who.get(one).expect(200);
                run[i] = (System.nanoTime() - began) / 1e6;
            }
        }
        return asked;
    }

    /** The median over the runs of what each run says. */
    static double over(double[][] runs, double share) {
        return median(
                Arrays.stream(runs).mapToDouble(run -> percentile(run, share)).toArray());
    }

    static double since(long began) {
        return (System.nanoTime() - began) / 1e9;
    }

    static void say(String what, double seconds) {
        System.out.printf("%-70s %8.2f s%n", what, seconds);
    }
}
