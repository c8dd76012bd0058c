package org.kindgirdle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.kindgirdle.e2e.harness.Kg;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.MariaDbServer;
import tools.jackson.databind.JsonNode;

/** The one command that a nursery keeps its application with. */
class KgCommandTest {

    @TempDir
    private Path folder;

    private final int port = MariaDbServer.freePort();
    private final String base = "http://127.0.0.1:" + port;

    @Test
    void itStartsKeepsAndBringsBackANursery() throws IOException {
        Path data = folder.resolve("data");
        Path backup = folder.resolve("nursery.tar.gz");
        try (Kg kg = new Kg(data, port)) {
            String token = kg.run("start").expectSuccess().find("first-owner\\?token=(\\S+)");
            Client owner = owner(token);
            place(owner, "North field");
            assertThat(kg.run("start").expectSuccess().said()).contains("runs already", base);
            assertThat(kg.run("status").expectSuccess().said()).contains("runs at " + base);
            assertThat(PosixFilePermissions.toString(
                            Files.getPosixFilePermissions(data.resolve("secrets/db-password"))))
                    .isEqualTo("rw-------");

            assertThat(kg.run("rebuild").expectSuccess().said()).contains("0 rows changed");
            kg.run("backup", backup.toString()).expectSuccess();
            assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(backup)))
                    .isEqualTo("rw-------");
            place(owner, "Low tunnel");
            assertThat(kg.run("restore", backup.toString()).said()).contains("It is running");
            kg.run("stop").expectSuccess();
            assertThat(kg.run("status").expectSuccess().said()).contains("does not run");

            // a file that is no backup changes nothing, and neither does a damaged one
            Path other = Files.writeString(folder.resolve("letter.txt"), "no backup");
            assertThat(kg.run("restore", other.toString()).said()).contains("no backup of Kind Girdle");
            assertThat(kg.run("restore", damaged(backup).toString()).said()).contains("damaged", "Nothing was changed");
            kg.run("start").expectSuccess();
            assertThat(places(owner)).containsExactly("North field", "Low tunnel");
            kg.run("stop").expectSuccess();

            String kept = kg.run("restore", backup.toString()).expectSuccess().find("What was there before: (\\S+)");
            kg.run("start").expectSuccess();
            assertThat(places(new Client(base).signedInAs("odile", Visit.PASSWORD)))
                    .containsExactly("North field");
            kg.run("stop").expectSuccess();
            kg.run("restore", kept).expectSuccess();
            kg.run("start").expectSuccess();
            assertThat(places(new Client(base).signedInAs("odile", Visit.PASSWORD)))
                    .containsExactly("North field", "Low tunnel");
        }
    }

    @Test
    void aKilledRunIsClearedAwayAndNothingIsLost() throws IOException {
        Path data = folder.resolve("data");
        try (Kg kg = new Kg(data, port)) {
            Client owner = owner(kg.run("start").expectSuccess().find("first-owner\\?token=(\\S+)"));
            place(owner, "North field");
            for (String pid : List.of("application.pid", "db.pid")) {
                kg.run(List.of(
                        "kill",
                        "-9",
                        Files.readString(data.resolve("run/" + pid)).strip()));
            }
            assertThat(kg.run("status").expectSuccess().said()).contains("does not run");
            kg.run("start").expectSuccess();
            assertThat(places(owner)).containsExactly("North field");
            kg.run("stop").expectSuccess();

            // a stale file that names a process of somebody else's
            Files.writeString(
                    data.resolve("run/application.pid"),
                    Long.toString(ProcessHandle.current().pid()));
            assertThat(kg.run("status").expectSuccess().said()).contains("does not run");
            kg.run("start").expectSuccess();
        }
    }

    @Test
    void aBackupThatIsTakenWhileRecordsAreWrittenIsOneMomentOfTheNursery() throws Exception {
        Path backup = folder.resolve("busy.tar.gz");
        try (Kg kg = new Kg(folder.resolve("data"), port)) {
            Client owner = owner(kg.run("start").expectSuccess().find("first-owner\\?token=(\\S+)"));
            String code = layer(owner);
            AtomicBoolean goesOn = new AtomicBoolean(true);
            AtomicInteger written = new AtomicInteger();
            Thread grower = new Thread(() -> {
                Client hand = new Client(base).signedInAs("odile", Visit.PASSWORD);
                while (goesOn.get()) {
                    note(hand, code);
                    written.incrementAndGet();
                }
            });
            grower.start();
            while (written.get() < 20) {
                Thread.onSpinWait();
            }
            int before = written.get();
            kg.run("backup", backup.toString()).expectSuccess();
            int after = written.get();
            goesOn.set(false);
            grower.join();
            assertThat(after).as("it went on being recorded").isGreaterThan(before);
            kg.run("stop").expectSuccess();

            kg.run("restore", backup.toString()).expectSuccess();
            kg.run("start").expectSuccess();
            byte[] first = nurseryFile();
            int kept = notes(first);
            assertThat(kept).isBetween(before, after + 1);
            assertThat(kg.run("rebuild").expectSuccess().said()).contains("0 rows changed");
            note(new Client(base).signedInAs("odile", Visit.PASSWORD), code);
            assertThat(notes(nurseryFile())).isEqualTo(kept + 1);
            kg.run("stop").expectSuccess();

            kg.run("restore", backup.toString()).expectSuccess();
            kg.run("start").expectSuccess();
            assertThat(nurseryFile()).as("the same nursery").isEqualTo(first);
        }
    }

    private byte[] nurseryFile() {
        return new Client(base)
                .signedInAs("odile", Visit.PASSWORD)
                .get("/api/v1/nursery-file")
                .expect(200)
                .bytes();
    }

    private static int notes(byte[] file) {
        return new String(file, StandardCharsets.UTF_8).split("\"kind\":\"NOTED\"", -1).length - 1;
    }

    private static void note(Client hand, String code) {
        hand.post("/api/v1/layers/" + code + "/records", Map.of("kind", "NOTED", "details", Map.of(), "note", "busy"))
                .expect(201);
    }

    private static String layer(Client owner) {
        place(owner, "North field");
        long place = owner.get("/api/v1/places").body().path(0).path("id").asLong();
        long recipe = added(owner, "recipes", """
                {"name": "Moss", "school": "IN_LEAF", "number": 0, "version": 0, "recipe": {"wound": "RING_SCRAPED",
                "hormonePpm": 3000, "medium": "MOSS", "wrap": "TIED_FILM", "cover": "FOIL", "containerG": 0,
                "containerMl": 0}}""");
        long mother = added(owner, "mothers", """
                {"code": "M-1", "speciesCode": "CYDOBL", "variety": "", "placeId": %d, "rootRun": "GROUND",
                "vigour": "NORMAL", "sick": false, "toBeCutDown": false, "rights": "FREE", "permission": "",
                "leafyShoots": 60, "note": "", "version": 0}""".formatted(place));
        return owner.post("/api/v1/batches", """
                        {"motherId": %d, "recipeId": %d, "reason": "It has to be today.", "rows": [{"diameterMm": 18,
                        "wood": "ONE_TWO", "position": "BELOW_NODE", "leavesBeyond": 9, "fromUnionMm": 400,
                        "leanDeg": 30, "specimen": false, "fruitToKeep": false}]}""".formatted(mother, recipe))
                .expect(201)
                .body()
                .path("codes")
                .path(0)
                .asString();
    }

    private static long added(Client owner, String what, String body) {
        return owner.post("/api/v1/" + what, body).expect(201).body().path("id").asLong();
    }

    @Test
    void whatStandsInTheWayIsSaid() throws IOException {
        try (ServerSocket busy = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            Kg.Outcome outcome = new Kg(folder.resolve("data"), busy.getLocalPort()).run("start");
            assertThat(outcome.code()).isNotZero();
            assertThat(outcome.said())
                    .contains("Port " + busy.getLocalPort() + " is in use", "KG_PORT=")
                    .doesNotContain("Exception");
        }
        Path file = Files.writeString(folder.resolve("file"), "");
        Kg.Outcome noFolder = new Kg(file.resolve("data"), port).run("start");
        assertThat(noFolder.code()).isNotZero();
        assertThat(noFolder.said()).contains("data folder", "KG_DATA");
        Kg.Outcome noDatabase = new Kg(folder.resolve("foreign"), port)
                .with("KG_DB_URL", "jdbc:mariadb://127.0.0.1:" + MariaDbServer.freePort() + "/kindgirdle")
                .run("start");
        assertThat(noDatabase.code()).isNotZero();
        assertThat(noDatabase.said()).contains("did not start").doesNotContain("\tat ");
        assertThat(new Kg(folder.resolve("data"), port).run("brew").said()).contains("no command 'brew'");
    }

    @Test
    void aDatabaseThatIsThereAlreadyIsUsed() {
        try (MariaDbServer database = MariaDbServer.start();
                Kg kg = new Kg(folder.resolve("data"), port)
                        .with("KG_DB_URL", database.url())
                        .with("KG_DB_USER", "root")
                        .with("KG_DB_PASSWORD", "")) {
            Client owner = owner(kg.run("start").expectSuccess().find("first-owner\\?token=(\\S+)"));
            place(owner, "North field");
            assertThat(folder.resolve("data/db")).doesNotExist();
            assertThat(kg.run("backup", folder.resolve("b.tar.gz").toString()).said())
                    .contains("that server's own backup");
        }
    }

    private Client owner(String token) {
        Client client = new Client(base);
        client.get("/api/v1/session").expect(200);
        client.post(
                        "/api/v1/first-owner",
                        Map.of("token", token, "name", "odile", "fullName", "Odile Quern", "password", Visit.PASSWORD))
                .expect(201);
        client.signedInAs("odile", Visit.PASSWORD);
        client.put(
                        "/api/v1/site",
                        Map.ofEntries(
                                Map.entry("name", "Quern Wood"),
                                Map.entry("latitude", 52),
                                Map.entry("zone", "Europe/London"),
                                Map.entry("minC", List.of(2, 2, 3, 5, 7, 10, 12, 12, 10, 8, 5, 3)),
                                Map.entry("maxC", List.of(7, 8, 10, 13, 16, 19, 21, 21, 18, 14, 10, 8)),
                                Map.entry("winterLowC", -4),
                                Map.entry("arid", false),
                                Map.entry("roundDays", List.of("FRIDAY")),
                                Map.entry("roundMinutes", 60),
                                Map.entry("version", 0)))
                .expect(200);
        return client;
    }

    private static void place(Client owner, String name) {
        owner.post(
                        "/api/v1/places",
                        Map.of(
                                "name",
                                name,
                                "walkingOrder",
                                places(owner).size() + 1,
                                "exposure",
                                "FULL",
                                "minShiftC",
                                0,
                                "maxShiftC",
                                0,
                                "vpdFactor",
                                1,
                                "frosts",
                                "SITE",
                                "winterLowC",
                                -4,
                                "stand",
                                "OPEN",
                                "version",
                                0))
                .expect(201);
    }

    private static List<String> places(Client client) {
        return client.get("/api/v1/places")
                .expect(200)
                .body()
                .valueStream()
                .map((JsonNode one) -> one.path("name").asString())
                .toList();
    }

    /** The backup with a statement in it that no database takes. */
    private Path damaged(Path backup) {
        Path work = folder.resolve("work");
        Path damaged = folder.resolve("damaged.tar.gz");
        String script =
                "mkdir '%s' && tar -C '%s' -xzf '%s' && echo 'create tabel;' >> '%s/kindgirdle.sql' && tar -C '%s' -czf '%s' ."
                        .formatted(work, work, backup, work, work, damaged);
        new Kg(folder, port).run(List.of("sh", "-c", script)).expectSuccess();
        return damaged;
    }
}
