package org.kindgirdle.bench;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.server.harness.Client;
import tools.jackson.databind.JsonNode;

/**
 * Measures 100,000 layers of an old spreadsheet in, and all tables and the whole nursery out; run by {@code ./kg bench
 * exchange} only. It asserts nothing: it says what it found.
 */
class ExchangeRun {

    private static final int LAYERS = 100_000;

    @Test
    void measure() throws InterruptedException {
        try (RunningApplication application = RunningApplication.demo()) {
            Client owner = application.measuredApi("maren");
            memory(application, "before");
            byte[] file = layers(owner).getBytes(StandardCharsets.UTF_8);
            System.out.printf("a file of %.1f MB%n", file.length / 1e6);
            UUID id = UUID.randomUUID();
            long began = System.nanoTime();
            owner.putFile("/api/v1/imports/" + id + "?name=old.csv", "text/csv", file)
                    .expect(201);
            Measured.say("sent", Measured.since(began));
            JsonNode mapping = owner.post("/api/v1/imports/" + id + "/suggestions", Map.of("table", "layers"))
                    .expect(200)
                    .body();
            work(owner, id, "looks", mapping);
            memory(application, "looked through");
            work(owner, id, "takings", mapping);
            memory(application, "taken in");
            UUID again = UUID.randomUUID();
            owner.putFile("/api/v1/imports/" + again + "?name=old.csv", "text/csv", file)
                    .expect(201);
            work(owner, again, "takings", mapping);
            for (String table : new String[] {"layers", "records"}) {
                began = System.nanoTime();
                int bytes = owner.get("/api/v1/tables/" + table).expect(200).bytes().length;
                Measured.say(String.format("%s out, %.1f MB", table, bytes / 1e6), Measured.since(began));
                memory(application, table + " out");
            }
            began = System.nanoTime();
            byte[] nursery = owner.get("/api/v1/nursery-file").expect(200).bytes();
            Measured.say(String.format("the nursery out, %.1f MB", nursery.length / 1e6), Measured.since(began));
            memory(application, "nursery out");
            UUID whole = UUID.randomUUID();
            began = System.nanoTime();
            owner.putFile("/api/v1/imports/" + whole + "?name=nursery.json", "application/json", nursery)
                    .expect(201);
            Measured.say("the nursery sent", Measured.since(began));
            String name = owner.get("/api/v1/site").body().path("name").asString();
            owner.post("/api/v1/imports/" + whole + "/takings", Map.of("nursery", name))
                    .expect(202);
            over(owner, whole, "the nursery in", began);
            memory(application, "nursery in");
            began = System.nanoTime();
            int status = owner.putFile(
                            "/api/v1/imports/" + UUID.randomUUID() + "?name=big.csv", "text/csv", new byte[200_000_000])
                    .status();
            Measured.say("200 MB of a table: " + status, Measured.since(began));
            memory(application, "after 200 MB");
        }
    }

    private static void work(Client owner, UUID id, String what, JsonNode mapping) throws InterruptedException {
        long began = System.nanoTime();
        owner.post("/api/v1/imports/" + id + "/" + what, Map.of("mapping", mapping))
                .expect(202);
        over(owner, id, what, began);
    }

    private static void over(Client owner, UUID id, String what, long began) throws InterruptedException {
        JsonNode view = owner.get("/api/v1/imports/" + id).expect(200).body();
        while (view.path("state").asString().matches("LOOKING|TAKING")) {
            TimeUnit.MILLISECONDS.sleep(200);
            view = owner.get("/api/v1/imports/" + id).expect(200).body();
        }
        Measured.say(
                what + " " + view.path("state").asString() + " "
                        + view.path("outcome").toString(),
                Measured.since(began));
    }

    private static void memory(RunningApplication application, String when) {
        System.out.printf("%-30s %d MB resident%n", when, application.residentMegabytes());
    }

    /** Three quarters with a whole life, by now most of them over. */
    private static String layers(Client owner) {
        String[] mothers = owner.get("/api/v1/mothers")
                .expect(200)
                .body()
                .valueStream()
                .map(one -> one.path("code").asString(one.at("/mother/code").asString("")))
                .limit(30)
                .toArray(String[]::new);
        String recipe = owner.get("/api/v1/recipes")
                .expect(200)
                .body()
                .path(0)
                .path("name")
                .asString();
        Random random = new Random(5);
        StringBuilder csv = new StringBuilder("label,mother,recipe,set_on,diameter_mm,full_on,severed_on,potted_on,"
                + "released_on,lost_on,loss_cause,note\r\n");
        for (int i = 0; i < LAYERS; i++) {
            LocalDate set = LocalDate.of(2020, 4, 1).plusYears(i % 5).plusDays(random.nextInt(60));
            LocalDate full = set.plusDays(60 + random.nextInt(40));
            boolean lost = random.nextInt(4) == 0;
            csv.append("L-")
                    .append(i)
                    .append(',')
                    .append(mothers[random.nextInt(mothers.length)])
                    .append(',');
            csv.append(recipe)
                    .append(',')
                    .append(set)
                    .append(',')
                    .append(10 + random.nextInt(15))
                    .append(',');
            if (lost) {
                csv.append(",,,,").append(set.plusDays(40)).append(",DRIED,");
            } else {
                csv.append(full)
                        .append(',')
                        .append(full.plusDays(7))
                        .append(',')
                        .append(full.plusDays(7))
                        .append(',');
                csv.append(full.plusDays(200)).append(",,,");
            }
            csv.append("from the old book\r\n");
        }
        return csv.toString();
    }
}
