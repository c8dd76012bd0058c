package org.kindgirdle.bench;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.IntFunction;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.server.harness.Client;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Measures the walk, a layer's page and a search in a nursery of 200,000 layers, 20,000 of them live, and a million
 * records; run by {@code ./kg bench round} only. It asserts nothing: it says what it found.
 */
class RoundRun {

    private static final int TIMES = 200;
    /** Until the compiler has been through what is asked all day. */
    private static final int WARM_UP = 300;

    private final List<String> live = new ArrayList<>();
    private final List<String> all = new ArrayList<>();
    private final Random random = new Random(11);

    @Test
    void measure() throws Exception {
        try (RunningApplication application = RunningApplication.demo()) {
            Client owner = application.measuredApi("maren");
            walkEveryDay(owner);
            long began = System.nanoTime();
            LargeNursery.grow(owner, application.database());
            Measured.say("grown to 200,000 layers and 1,000,000 records", Measured.since(began));
            try (Connection database =
                    DriverManager.getConnection(application.database().url(), "root", "")) {
                codes(database);
                JsonNode round = owner.get("/api/v1/round").body();
                System.out.println("today's walk has " + round.path("jobs") + " layers, and "
                        + round.path("ahead")
                                .valueStream()
                                .mapToInt(day -> day.path("jobs").asInt())
                                .sum()
                        + " more are planned onto the fortnight");
                run(owner, database, "the walk", i -> "/api/v1/round", i -> """
                        select code, mother_id, method, job, to_days(coalesce(job_from, job_by)), to_days(job_by),
                        also_do from layer
                        where phase in ('ON_MOTHER', 'SEVERED', 'POTTED') and job_by < date '2026-07-24'""");
                run(
                        owner,
                        database,
                        "a layer's page",
                        i -> "/api/v1/layers/" + any(live),
                        i -> "select e.* from layer l join layer_event e on e.layer_id = l.id where l.code = '"
                                + any(live) + "' order by e.id");
                run(
                        owner,
                        database,
                        "its card for the phone, 50 at once",
                        i -> "/api/v1/layer-cards?codes=" + some(50),
                        i -> "select e.*"
                                + " from layer l join layer_event e on e.layer_id = l.id where l.code in ('"
                                + some(50).replace(",", "','") + "')");
                run(
                        owner,
                        database,
                        "its drawing in a list, 50 at once",
                        i -> "/api/v1/layer-stems?codes=" + some(50),
                        i -> "select e.*"
                                + " from layer l join layer_event e on e.layer_id = l.id where l.code in ('"
                                + some(50).replace(",", "','") + "')");
                search(owner, database, "by code", i -> "q=" + any(all), "l.code = '" + any(all) + "'");
                search(owner, database, "by a word", i -> "q=quince", "l.mother_id in (1, 2, 3)");
                search(
                        owner,
                        database,
                        "by a word of a note",
                        i -> "q=wasps",
                        "l.id in (select distinct layer_id from"
                                + " layer_event where match(note) against ('+wasps*' in boolean mode))");
                search(owner, database, "by a word that nothing has", i -> "q=zzyzx", "l.code like 'ZZYZX%'");
                search(
                        owner,
                        database,
                        "filtered",
                        i -> "phase=ON_MOTHER&stage=NONE&late=true",
                        "l.phase =" + " 'ON_MOTHER' and l.stage = 'NONE' and l.job_by < date '2026-07-10'");
                search(owner, database, "of everything", i -> "", "true");
            }
            phone(application);
        }
    }

    /** Somebody is out the whole day, but for Sundays: as many hands as so many layers need. */
    private static void walkEveryDay(Client owner) {
        ObjectNode site = (ObjectNode) owner.get("/api/v1/site").expect(200).body();
        site.put("roundMinutes", 960);
        ArrayNode days = site.putArray("roundDays");
        List.of("MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY", "SATURDAY")
                .forEach(days::add);
        owner.put("/api/v1/site", site).expect(200);
    }

    private void search(Client owner, Connection database, String what, IntFunction<String> query, String where)
            throws SQLException {
        run(
                owner,
                database,
                "a search " + what,
                i -> "/api/v1/layers?limit=100&" + query.apply(i),
                // what is shown, and how many there are
                i -> "select l.* from layer l where l.phase <> 'WITHDRAWN' and " + where
                        + " order by l.due_on, l.id limit 101;"
                        + "select count(*) from (select l.id from layer l where l.phase <> 'WITHDRAWN' and " + where
                        + " limit 5000) some");
    }

    /** @param query what it asks of the database at the least, statements divided by semicolons */
    private void run(
            Client owner, Connection database, String what, IntFunction<String> path, IntFunction<String> query)
            throws SQLException {
        for (int i = 0; i < WARM_UP; i++) {
            owner.get(path.apply(i)).expect(200);
        }
        long asks = Long.MAX_VALUE;
        for (int i = 0; i < 5; i++) {
            long before = statements(database);
            owner.get(path.apply(i)).expect(200);
            // one of them asks for the count itself; what runs beside it now and then is left out by the least
            asks = Math.min(asks, statements(database) - before - 1);
        }
        double[][] asked = Measured.ask(owner, TIMES, path);
        double[] bare = new double[TIMES];
        try (Statement sql = database.createStatement()) {
            for (int i = 0; i < TIMES; i++) {
                String[] statements = query.apply(i).split(";");
                long began = System.nanoTime();
                for (String one : statements) {
                    readAll(sql, one);
                }
                bare[i] = (System.nanoTime() - began) / 1e6;
            }
        }
        double p95 = Measured.over(asked, .95);
        System.out.printf(
                Locale.ROOT,
                "%-40s p50 %6.1f ms  p95 %6.1f ms  %3d statements  %5.1f times the bare query (p95 %.1f ms)%n",
                what,
                Measured.over(asked, .5),
                p95,
                asks,
                p95 / Measured.percentile(bare, .95),
                Measured.percentile(bare, .95));
    }

    private static void readAll(Statement sql, String query) throws SQLException {
        try (ResultSet rows = sql.executeQuery(query)) {
            int count = 0;
            while (rows.next()) {
                count++;
            }
            if (count < 0) {
                throw new IllegalStateException("rows are counted so that they are read");
            }
        }
    }

    private static long statements(Connection database) throws SQLException {
        try (Statement sql = database.createStatement();
                ResultSet row = sql.executeQuery("show global status like 'Questions'")) {
            row.next();
            return row.getLong(2);
        }
    }

    private void codes(Connection database) throws SQLException {
        try (Statement sql = database.createStatement();
                ResultSet row = sql.executeQuery("select code, phase from layer")) {
            while (row.next()) {
                all.add(row.getString(1));
                if (row.getString(2).equals("ON_MOTHER")) {
                    live.add(row.getString(1));
                }
            }
        }
    }

    private String any(List<String> codes) {
        return codes.get(random.nextInt(codes.size()));
    }

    private String some(int count) {
        List<String> codes = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            codes.add(any(live));
        }
        return String.join(",", codes);
    }

    /** A phone of a few years ago: a quarter of this machine's speed, ten megabits and 40 ms to the server. */
    private static void phone(RunningApplication application) {
        double[] seconds = new double[Measured.RUNS];
        for (int i = 0; i < seconds.length; i++) {
            try (Visit visit = Visit.phone(application).signedInAs("ivo")) {
                Page page = visit.page();
                CDPSession slow = visit.context().newCDPSession(page);
                JsonObject processor = new JsonObject();
                processor.addProperty("rate", 4);
                slow.send("Emulation.setCPUThrottlingRate", processor);
                JsonObject network = new JsonObject();
                network.addProperty("offline", false);
                network.addProperty("latency", 40);
                network.addProperty("downloadThroughput", 10_000_000 / 8);
                network.addProperty("uploadThroughput", 3_000_000 / 8);
                slow.send("Network.enable");
                slow.send("Network.emulateNetworkConditions", network);
                slow.send("Network.clearBrowserCache");
                long began = System.nanoTime();
                visit.open("/");
                visit.see("begin").waitFor();
                seconds[i] = Measured.since(began);
            }
        }
        Measured.say("the Round on a phone, nothing cached", seconds);
    }
}
