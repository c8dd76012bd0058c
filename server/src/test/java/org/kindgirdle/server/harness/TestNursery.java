package org.kindgirdle.server.harness;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * A nursery on the real application and a real MariaDB: Quern Wood, 52 N, with a field, a tunnel and one owner, made
 * over HTTP from an empty database as a user would. It is started once a JVM.
 */
public final class TestNursery implements AutoCloseable {

    public static final LocalDate TODAY = LocalDate.of(2026, 7, 10);
    public static final String PASSWORD = "ring-and-moss-26";

    private final StartedNursery started;
    private final String base;
    private final MariaDbServer database = MariaDbServer.start();
    private final Client owner;
    private final Client grower;
    private final Client viewer;
    private final long field;
    private final long tunnel;
    private final long recipe;
    private int mothers;

    TestNursery() {
        started = StartedNursery.on(database, TODAY);
        base = started.base();
        owner = firstOwner(started.printed());
        grower = person("gale", "Gale Fernhollow", "GROWER");
        viewer = person("vesper", "Vesper Oatley", "VIEWER");
        site();
        field = place("North field", 1, "FULL", 0, "SITE", -4.5);
        tunnel = place("Low tunnel", 2, "PART", 4, "NONE", 2);
        recipe = recipe("Moss and foil");
    }

    /** One with nothing in it, for a test that must not meet what others left; it is to be closed. */
    public static TestNursery ofItsOwn() {
        return new TestNursery();
    }

    @Override
    public void close() {
        started.close();
        database.close();
    }

    public Client owner() {
        return owner;
    }

    /** The owner, with the password typed once more. */
    public Client confirmedOwner() {
        return owner.confirmed(PASSWORD);
    }

    public Client grower() {
        return grower;
    }

    public Client viewer() {
        return viewer;
    }

    public Client anonymous() {
        return new Client(base);
    }

    /** Somebody of the nursery in another browser. */
    public Client again(String name) {
        return new Client(base).signedInAs(name, PASSWORD);
    }

    public String base() {
        return base;
    }

    public String databaseUrl() {
        return database.url();
    }

    public Path photos() {
        return started.photos();
    }

    public TestClock clock() {
        return started.clock();
    }

    /** Until what follows for all layers is worked out, beside the requests. */
    public void awaitRecalculation() {
        for (int i = 0;
                viewer.get("/api/v1/recalculation")
                        .expect(200)
                        .body()
                        .path("running")
                        .asBoolean();
                i++) {
            if (i == 600) {
                throw new IllegalStateException("the pass over all layers does not end");
            }
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
        }
    }

    public JdbcTemplate sql() {
        return started.sql();
    }

    public <T> T bean(Class<T> type) {
        return started.bean(type);
    }

    public long field() {
        return field;
    }

    public long tunnel() {
        return tunnel;
    }

    public long recipe() {
        return recipe;
    }

    /** A new mother with 60 leafy shoots. */
    public long mother(String species, long place) {
        mothers++;
        return grower.post("/api/v1/mothers", motherBody("M-" + mothers, species, place))
                .expect(201)
                .body()
                .path("id")
                .asLong();
    }

    public static Map<String, Object> motherBody(String code, String species, long place) {
        return Map.ofEntries(
                Map.entry("code", code),
                Map.entry("speciesCode", species),
                Map.entry("variety", "Quern Gold"),
                Map.entry("placeId", place),
                Map.entry("rootRun", "GROUND"),
                Map.entry("vigour", "NORMAL"),
                Map.entry("sick", false),
                Map.entry("toBeCutDown", false),
                Map.entry("rights", "FREE"),
                Map.entry("permission", ""),
                Map.entry("leafyShoots", 60),
                Map.entry("note", ""),
                Map.entry("version", 0));
    }

    /** Sets layers on a mother. @return their codes */
    public List<String> set(long mother, LocalDate on, int count) {
        Client.Answer answer =
                grower.post("/api/v1/batches", batch(mother, on, count)).expect(201);
        return answer.body()
                .path("codes")
                .valueStream()
                .map(code -> code.asString())
                .toList();
    }

    public Map<String, Object> batch(long mother, LocalDate on, int count) {
        List<Map<String, Object>> rows = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            rows.add(row("18 mm"));
        }
        return Map.of(
                "motherId",
                mother,
                "recipeId",
                recipe,
                "setOn",
                on.toString(),
                "reason",
                "asked for by the test",
                "rows",
                rows);
    }

    /** Rows of 15 mm on a limb of a mother, at these distances from the union. */
    public Map<String, Object> onLimb(long mother, long limb, double... fromUnionMm) {
        List<Map<String, Object>> rows = new ArrayList<>();
        for (double mm : fromUnionMm) {
            Map<String, Object> row = new HashMap<>(row(15));
            row.put("limbId", limb);
            row.put("fromUnionMm", mm);
            rows.add(row);
        }
        Map<String, Object> batch = new HashMap<>(batch(mother, TODAY, 1));
        batch.put("rows", rows);
        return batch;
    }

    /** A limb of 1200 mm with 24 nodes. */
    public long limb(long mother, String name, double mm, String wood, double lean, int leaves) {
        return grower.post("/api/v1/mothers/" + mother + "/limbs", limbBody(mother, name, mm, wood, lean, leaves))
                .expect(201)
                .body()
                .path("id")
                .asLong();
    }

    public static Map<String, Object> limbBody(
            long mother, String name, double mm, String wood, double lean, int leaves) {
        return Map.ofEntries(
                Map.entry("motherId", mother),
                Map.entry("name", name),
                Map.entry("diameterMm", mm),
                Map.entry("wood", wood),
                Map.entry("leanDeg", lean),
                Map.entry("lengthMm", "120 cm"),
                Map.entry("nodes", 24),
                Map.entry("leaves", leaves),
                Map.entry("toBePruned", false),
                Map.entry("shootBelow", true),
                Map.entry("note", ""),
                Map.entry("version", 0));
    }

    public static Map<String, Object> row(Object diameter) {
        return Map.of(
                "diameterMm",
                diameter,
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

    public static Map<String, Object> look(String stage, int fill, String... conditions) {
        return Map.of(
                "kind",
                "LOOKED",
                "details",
                Map.of(
                        "stage",
                        stage,
                        "sectors",
                        List.of(1, 1, 1, 1, 1, 1, 0, 0),
                        "fillPercent",
                        fill,
                        "conditions",
                        List.of(conditions)));
    }

    public Client.Answer record(String code, Map<String, Object> record) {
        return grower.post("/api/v1/layers/" + code + "/records", record);
    }

    private Client firstOwner(String printed) {
        Matcher link = Pattern.compile("first-owner\\?token=(\\S+)").matcher(printed);
        if (!link.find()) {
            throw new IllegalStateException("no link for the first owner was printed: " + printed);
        }
        Client client = new Client(base);
        client.get("/api/v1/session").expect(200);
        client.post(
                        "/api/v1/first-owner",
                        Map.of(
                                "token",
                                link.group(1),
                                "name",
                                "odile",
                                "fullName",
                                "Odile Quern",
                                "password",
                                PASSWORD))
                .expect(201);
        return client.signedInAs("odile", PASSWORD);
    }

    private Client person(String name, String fullName, String role) {
        owner.confirmed(PASSWORD)
                .post("/api/v1/people", Map.of("name", name, "fullName", fullName, "password", PASSWORD, "role", role))
                .expect(201);
        return again(name);
    }

    private void site() {
        owner.put(
                        "/api/v1/site",
                        Map.ofEntries(
                                Map.entry("name", "Quern Wood"),
                                Map.entry("latitude", 52),
                                Map.entry("zone", "Europe/London"),
                                Map.entry(
                                        "minC",
                                        List.of(2.6, 2.4, 3.3, 4.6, 7.3, 10.1, 12.2, 12.3, 10.6, 8.1, 5.1, 3.2)),
                                Map.entry(
                                        "maxC",
                                        List.of(7.6, 7.9, 10, 12.8, 16.1, 18.8, 20.8, 20.7, 18.3, 14.4, 10.6, 8.2)),
                                Map.entry(
                                        "frosts",
                                        Map.of(
                                                "firstAverage", "--11-08",
                                                "firstEarly", "--10-20",
                                                "lastAverage", "--04-14",
                                                "lastLate", "--05-06")),
                                Map.entry("winterLowC", -4.5),
                                Map.entry("arid", false),
                                Map.entry("roundDays", List.of("TUESDAY", "FRIDAY")),
                                Map.entry("roundMinutes", 90),
                                Map.entry("version", 0)))
                .expect(200);
    }

    private long place(String name, int order, String exposure, double shift, String frosts, double winterLow) {
        return owner.post(
                        "/api/v1/places",
                        Map.of(
                                "name", name,
                                "walkingOrder", order,
                                "exposure", exposure,
                                "minShiftC", shift,
                                "maxShiftC", shift,
                                "vpdFactor", 1,
                                "frosts", frosts,
                                "winterLowC", winterLow,
                                "stand", "OPEN",
                                "version", 0))
                .expect(201)
                .body()
                .path("id")
                .asLong();
    }

    private long recipe(String name) {
        return owner.post("/api/v1/recipes", recipeBody(name))
                .expect(201)
                .body()
                .path("id")
                .asLong();
    }

    public static Map<String, Object> recipeBody(String name) {
        return Map.of(
                "name",
                name,
                "school",
                "IN_LEAF",
                "recipe",
                Map.of(
                        "wound", "RING_SCRAPED",
                        "hormonePpm", 3000,
                        "medium", "MOSS",
                        "wrap", "TIED_FILM",
                        "cover", "FOIL",
                        "containerG", 0,
                        "containerMl", 0),
                "number",
                0,
                "version",
                0);
    }

    /** How many statements all requests together have sent since the last call. */
    public static long statements() {
        return StatementCount.take().size();
    }

    /**
     * How many statements one read sends. The session is written when the answer is on its way already: its statements
     * belong to their own request, and are waited for.
     */
    public static long statementsOf(Client client, String path) {
        settled();
        client.get(path).expect(200);
        return settled().size();
    }

    /** The statements that were sent since the last call, those of the answer on its way among them. */
    public static List<String> settledStatements() {
        return settled();
    }

    private static List<String> settled() {
        List<String> all = new ArrayList<>();
        List<String> some;
        do {
            try {
                Thread.sleep(60);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
            some = StatementCount.take();
            all.addAll(some);
        } while (!some.isEmpty());
        return all;
    }
}
