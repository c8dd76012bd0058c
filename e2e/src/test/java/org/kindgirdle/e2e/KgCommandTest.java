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
import org.kindgirdle.e2e.harness.Project;
import org.kindgirdle.e2e.harness.RunningApplication;
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
    void it_starts_keeps_and_brings_back_a_nursery() throws IOException {
        Path data = folder.resolve("data");
        Path backup = folder.resolve("nursery.tar.gz");
        // a start is not given up while something goes on, however short the patience
        try (Kg kg = new Kg(data, port).with("KG_PATIENCE", "15")) {
            String token = kg.run("start").expectSuccess().find("first-owner\\?token=(\\S+)");
            Client owner = owner(token);
            place(owner, "North field");
            assertThat(kg.run("start").expectSuccess().said()).contains("runs already", base);
            assertThat(kg.run("status").expectSuccess().said()).contains("runs at " + base);
            assertThat(PosixFilePermissions.toString(
                            Files.getPosixFilePermissions(data.resolve("secrets/db-password"))))
                    .isEqualTo("rw-------");

            assertThat(kg.run("rebuild").expectSuccess().said()).contains("0 rows changed");
            assertThat(kg.run("backup", backup.toString()).expectSuccess().said())
                    .contains("Written and read again");
            assertThat(kg.run("verify", backup.toString()).expectSuccess().said())
                    .contains("Whole");
            assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(backup)))
                    .isEqualTo("rw-------");
            place(owner, "Low tunnel");
            assertThat(kg.run("restore", backup.toString()).said()).contains("It is running");
            kg.run("stop").expectSuccess();
            assertThat(kg.run("status").expectSuccess().said()).contains("does not run");

            // a file that is no backup changes nothing, and neither does a damaged one
            Path other = Files.writeString(folder.resolve("letter.txt"), "no backup");
            assertThat(kg.run("restore", other.toString()).said()).contains("no backup of Kind Girdle");
            Path trace = folder.resolve("was-run");
            assertThat(kg.run("restore", damaged(backup, "\\! touch " + trace).toString())
                            .said())
                    .contains("nothing that a dump has", "nothing was changed");
            assertThat(trace).doesNotExist();
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
    void a_killed_run_is_cleared_away_and_nothing_is_lost() throws IOException {
        Path data = folder.resolve("data");
        try (Kg kg = new Kg(data, port)) {
            Client owner = owner(kg.run("start").expectSuccess().find("first-owner\\?token=(\\S+)"));
            place(owner, "North field");
            for (String pid : List.of("supervisor.pid", "application.pid", "db.pid")) {
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
    void a_backup_that_is_taken_while_records_are_written_is_one_moment_of_the_nursery() throws Exception {
        Path backup = folder.resolve("busy.tar.gz");
        try (Kg kg = new Kg(folder.resolve("data"), port)) {
            Client owner = owner(kg.run("start").expectSuccess().find("first-owner\\?token=(\\S+)"));
            String code = layer(owner);
            AtomicBoolean goesOn = new AtomicBoolean(true);
            AtomicInteger written = new AtomicInteger();
            Thread grower = new Thread(() -> {
                Client hand = new Client(base).signedInAs("odile", Visit.PASSWORD);
                // a quick hand, not a flood: what is brought back afterwards is read in three times
                while (goesOn.get()) {
                    note(hand, code);
                    written.incrementAndGet();
                    sleep(20);
                }
            });
            grower.start();
            while (written.get() < 20) {
                sleep(20);
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

    private static void sleep(long millis) {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
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
    void what_stands_in_the_way_is_said() throws IOException {
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
    void what_ends_is_started_again_and_said_until_it_is() throws Exception {
        Path data = folder.resolve("data");
        try (Kg kg = new Kg(data, port)) {
            Client owner = owner(kg.run("start").expectSuccess().find("first-owner\\?token=(\\S+)"));
            place(owner, "North field");
            // the watch is stopped, so that there is time to see what is said
            kill("STOP", data.resolve("run/supervisor.pid"));
            kill("KILL", data.resolve("run/db.pid"));
            assertThat(kg.run("status").expectSuccess().said())
                    .contains("NOT WELL", "the database is not running", "./kg start mends it");
            assertThat(new Client(base).get("/actuator/health/readiness").status())
                    .isEqualTo(503);
            // the first that asks finds out; whoever comes after does not wait
            assertThat(new Client(base).get("/api/v1/session").status()).isEqualTo(503);
            long asked = System.nanoTime();
            assertThat(new Client(base).get("/api/v1/session").status()).isEqualTo(503);
            assertThat(System.nanoTime() - asked).as("nobody waits for it").isLessThan(4_000_000_000L);
            kill("CONT", data.resolve("run/supervisor.pid"));
            assertThat(kg.run("start").expectSuccess().said()).containsAnyOf("runs again at", "runs already");
            assertThat(places(owner)).containsExactly("North field");

            kill("KILL", data.resolve("run/application.pid"));
            assertThat(kg.run("start").expectSuccess().said()).contains("mending", "runs again at " + base);
            assertThat(places(owner)).containsExactly("North field");

            // what watches is killed itself: the nursery goes on, and the next start watches again
            kill("KILL", data.resolve("run/supervisor.pid"));
            assertThat(places(owner)).containsExactly("North field");
            assertThat(kg.run("start").expectSuccess().said()).contains("runs at " + base);
            kill("KILL", data.resolve("run/application.pid"));
            assertThat(kg.run("start").expectSuccess().said()).contains("runs again at " + base);
        }
    }

    /** What is counted of the work that goes on can begin anew: a process that is started again, a log put away. */
    @Test
    void a_start_is_not_given_up_while_work_that_is_counted_anew_goes_on() throws IOException {
        try (Kg kg = new Kg(folder.resolve("data"), port)) {
            String script = """
                    set -eu
                    cd '%s'; HOME_DIR=$PWD; . scripts/lib.sh; . scripts/application.sh
                    LOGS='%s'; TRIES_BEFORE=0; PATIENCE=1; asked=0
                    ready() { asked=$((asked + 1)); [ "$asked" -gt 15 ]; }
                    work_done() { printf '%%s' "%s"; }
                    wait_until_up && echo up
                    """;
            assertThat(kg.run(List.of("bash", "-c", script.formatted(Project.ROOT, folder, "$((90000 - asked * 100))")))
                            .expectSuccess()
                            .said())
                    .endsWith("up\n");
            assertThat(kg.run(List.of("bash", "-c", script.formatted(Project.ROOT, folder, "90000")))
                            .said())
                    .contains("has done nothing for 1 s");
        }
    }

    private static void kill(String signal, Path pidFile) throws Exception {
        String pid = Files.readString(pidFile).strip();
        new ProcessBuilder("kill", "-" + signal, pid).start().waitFor();
        // what has ended stays in the list until its parent has looked; it has no command any more
        Path command = Path.of("/proc/" + pid + "/cmdline");
        while (signal.equals("KILL")
                && Files.exists(command)
                && !Files.readString(command).isEmpty()) {
            Thread.sleep(50);
        }
    }

    @Test
    void a_new_version_is_taken_with_a_backup_and_the_one_before_comes_back_when_it_fails() throws IOException {
        Path data = folder.resolve("data");
        try (Kg kg = new Kg(data, port)) {
            Client owner = owner(kg.run("start").expectSuccess().find("first-owner\\?token=(\\S+)"));
            place(owner, "North field");
            assertThat(kg.run("update").expectSuccess().said()).contains("has this version already");

            // the same application under another number stands for the next version
            Path next = folder.resolve("next");
            kg.run(List.of("cp", "-a", kg.application().toString(), next.toString()))
                    .expectSuccess();
            Files.writeString(next.resolve("stamp"), "4711");
            Path backups = folder.resolve("another disk");
            kg.with("KG_APP", next.toString()).with("KG_BACKUPS", backups.toString());
            assertThat(kg.run("start").expectSuccess().said()).contains("./kg update takes it");
            String said = kg.run("update").expectSuccess().said();
            assertThat(said)
                    .contains(
                            "Written and read again", "Everything is there", "Updated to", backups + "/before-update-");
            assertThat(places(owner)).containsExactly("North field");

            // one that does not come up
            Path broken = folder.resolve("broken");
            kg.run(List.of("cp", "-a", next.toString(), broken.toString())).expectSuccess();
            Files.writeString(broken.resolve("stamp"), "4712");
            for (Path jar : Files.list(broken.resolve("lib")).toList()) {
                if (jar.getFileName().toString().startsWith("flyway-core")) {
                    Files.delete(jar);
                }
            }
            kg.with("KG_APP", broken.toString());
            Kg.Outcome failed = kg.run("update");
            assertThat(failed.code()).isNotZero();
            assertThat(failed.said())
                    .contains("did not come up", "The version before runs again", "failed-update.log")
                    .doesNotContain("\tat ");
            // out of the backup: sessions are none of its business
            Client again = new Client(base).signedInAs("odile", Visit.PASSWORD);
            assertThat(places(again)).containsExactly("North field");
            place(again, "Low tunnel");
            kg.with("KG_APP", next.toString());
            assertThat(kg.run("update").expectSuccess().said()).contains("has this version already");
        }
    }

    @Test
    void units_for_systemd_are_written_and_a_demo_beside_a_nursery_signs_nobody_out() throws IOException {
        try (Kg kg = new Kg(folder.resolve("data"), port)) {
            kg.run("install", "--to", folder.resolve("units").toString()).expectSuccess();
            assertThat(Files.readString(folder.resolve("units/kind-girdle.service")))
                    .contains("Restart=always", "kg supervise", "KG_DATA=" + folder.resolve("data"), "KG_PORT=" + port);
            owner(kg.run("start").expectSuccess().find("first-owner\\?token=(\\S+)"));
            try (RunningApplication demo = RunningApplication.demo()) {
                // one browser, one host, two ports: what one sets, the other is sent
                Client browser = new Client(base).signedInAs("odile", Visit.PASSWORD);
                Client there = browser.at(demo.base()).signedInAs("maren", Visit.PASSWORD);
                place(browser, "North field");
                assertThat(places(browser)).containsExactly("North field");
                there.put("/api/v1/me/units", Map.of("units", "US")).expect(200);
            }
        }
    }

    @Test
    void a_database_that_is_there_already_is_used() {
        try (MariaDbServer database = MariaDbServer.start();
                Kg kg = new Kg(folder.resolve("data"), port)
                        .with("KG_DB_URL", database.url())
                        .with("KG_DB_USER", "root")
                        .with("KG_DB_PASSWORD", "")) {
            Client owner = owner(kg.run("start").expectSuccess().find("first-owner\\?token=(\\S+)"));
            place(owner, "North field");
            assertThat(folder.resolve("data/db")).doesNotExist();
            // it is backed up as any other
            assertThat(kg.run("backup", folder.resolve("b.tar.gz").toString())
                            .expectSuccess()
                            .said())
                    .contains("Written and read again");
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

    /** The backup with a line in its SQL that no dump has. */
    private Path damaged(Path backup, String line) {
        Path work = folder.resolve("work");
        Path damaged = folder.resolve("damaged.tar.gz");
        String script =
                "mkdir '%s' && tar -C '%s' -xzf '%s' && printf '%%s\\n' '%s' >> '%s/kindgirdle.sql' && tar -C '%s' -czf '%s' ."
                        .formatted(work, work, backup, line, work, work, damaged);
        new Kg(folder, port).run(List.of("sh", "-c", script)).expectSuccess();
        return damaged;
    }
}
