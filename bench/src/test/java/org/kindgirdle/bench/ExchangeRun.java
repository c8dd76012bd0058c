package org.kindgirdle.bench;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Locale;
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
    void measure() throws Exception {
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
            Measured.median("looked through", () -> work(owner, id, "looks", mapping));
            memory(application, "looked through");
            long taking = System.nanoTime();
            work(owner, id, "takings", mapping);
            Measured.say("taken in", Measured.since(taking));
            memory(application, "taken in");
            Measured.median("sent and taken again, when all are here", () -> {
                UUID again = UUID.randomUUID();
                owner.putFile("/api/v1/imports/" + again + "?name=old.csv", "text/csv", file)
                        .expect(201);
                work(owner, again, "takings", mapping);
            });
            for (String table : new String[] {"layers", "records"}) {
                Measured.median(
                        table + " out",
                        () -> owner.get("/api/v1/tables/" + table).expect(200).bytes());
                memory(application, table + " out");
            }
            Measured.median(
                    "the nursery out",
                    () -> owner.get("/api/v1/nursery-file").expect(200).bytes());
            memory(application, "nursery out");
            byte[] nursery = owner.get("/api/v1/nursery-file").expect(200).bytes();
            String name = owner.get("/api/v1/site").body().path("name").asString();
            String sent = String.format(Locale.ROOT, "the nursery sent and taken in, %.1f MB", nursery.length / 1e6);
            Measured.median(sent, () -> {
                UUID whole = UUID.randomUUID();
                owner.putFile("/api/v1/imports/" + whole + "?name=nursery.json", "application/json", nursery)
                        .expect(201);
                owner.post("/api/v1/imports/" + whole + "/takings", Map.of("nursery", name))
                        .expect(202);
                over(owner, whole, "TAKEN");
            });
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
        owner.post("/api/v1/imports/" + id + "/" + what, Map.of("mapping", mapping))
                .expect(202);
        over(owner, id, what.equals("looks") ? "LOOKED" : "TAKEN");
    }

    private static void over(Client owner, UUID id, String wanted) throws InterruptedException {
        JsonNode view = owner.get("/api/v1/imports/" + id).expect(200).body();
        while (view.path("state").asString().matches("LOOKING|TAKING")) {
            TimeUnit.MILLISECONDS.sleep(20);
            view = owner.get("/api/v1/imports/" + id).expect(200).body();
        }
        if (!view.path("state").asString().equals(wanted)) {
            throw new IllegalStateException("not " + wanted + ": " + view);
        }
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
