package org.kindgirdle.server.versions;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.MariaDbServer;
import org.kindgirdle.server.harness.StartedNursery;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.projection.Rebuild;
import org.kindgirdle.server.projection.Reprojection;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What version 0.1.0 wrote opens, is made anew, goes out, and takes what waited on its phones. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class OlderVersionTest {

    private static final Path OLD = Path.of("src/test/resources/versions/0.1.0");
    private static final String PASSWORD = "moss-and-knife";
    private static final JsonMapper JSON = new JsonMapper();

    @TempDir
    static Path folder;

    private MariaDbServer database;
    private StartedNursery nursery;
    private List<Map<String, Object>> before = List.of();

    @BeforeAll
    void open() throws IOException {
        database = MariaDbServer.start();
        Path sql = folder.resolve("database.sql");
        try (GZIPInputStream in = new GZIPInputStream(Files.newInputStream(OLD.resolve("database.sql.gz")))) {
            Files.copy(in, sql);
        }
        database.fillFrom(sql);
        nursery = StartedNursery.on(database, TestNursery.TODAY);
        // the phone's records were made in the afternoon
        nursery.clock().moveBy(Duration.ofHours(9));
        before = finished();
    }

    @AfterAll
    void close() {
        nursery.close();
        database.close();
    }

    @Test
    @Order(1)
    void its_database_is_migrated_and_made_anew_without_a_change() {
        assertThat(before).hasSizeGreaterThan(400);
        // the rules of before were others: what is live is made anew once, when the application starts
        int live = live().size();
        nursery.bean(Reprojection.class).turnDay();
        assertThat(live())
                .hasSize(live)
                .allSatisfy(layer -> assertThat(layer.get("step")).isNotNull());
        Rebuild.Result anew = nursery.bean(Rebuild.class).run();
        assertThat(anew.layers()).isEqualTo(644);
        assertThat(anew.wrong()).isEmpty();
        assertThat(anew.changed()).isZero();
        assertThat(finished()).as("what is over stays as it was").isEqualTo(before);
    }

    @Test
    @Order(2)
    void what_waited_on_a_phone_of_before_arrives_once_each() {
        Client ivo = nursery.signedIn("ivo", PASSWORD);
        int records = records();
        for (JsonNode one : JSON.readTree(OLD.resolve("waiting.json"))) {
            for (int twice = 0; twice < 2; twice++) {
                ivo.post(
                                "/api/v1" + one.path("path").asString(),
                                UUID.fromString(one.path("id").asString()),
                                one.path("body").toString())
                        .expect(201);
            }
        }
        assertThat(records()).isEqualTo(records + 4);
        // one of them met a severance meanwhile: kept, and shown
        assertThat(nursery.sql().queryForObject("select count(*) from layer where conflicts > 0", Integer.class))
                .isEqualTo(1);
    }

    @Test
    @Order(3)
    void a_record_whose_fields_are_known_no_more_is_taken_and_one_that_can_not_be_read_is_kept() {
        Client ivo = nursery.signedIn("ivo", PASSWORD);
        String path = "/api/v1/layers/" + code() + "/records";
        String unknown = "{\"kind\": \"TOPPED_UP\", \"details\": {\"waterMl\": 40, \"fromCan\": \"green\"}}";
        assertThat(ivo.post(path, unknown).expect(400).fields()).containsExactly("details.fromCan");
        JsonNode taken = ivo.postMadeBy("0.1.0", path, unknown).expect(201).body();
        assertThat(taken.at("/layer/records/0/kind").asString()).isEqualTo("TOPPED_UP");
        assertThat(taken.at("/layer/records/0/note").asString()).contains("fromCan", "green");
        JsonNode kept = ivo.postMadeBy("0.1.0", path, "{\"kind\": \"LOOKED\", \"details\": {\"stage\": \"PIPPED\"}}")
                .expect(201)
                .body();
        assertThat(kept.at("/recorded/conflict").asString()).isEqualTo("NOT_UNDERSTOOD");
        assertThat(kept.at("/layer/records/0/note").asString()).contains("LOOKED", "PIPPED");
    }

    @Test
    @Order(4)
    void everything_goes_out() {
        Client maren = nursery.signedIn("maren", PASSWORD);
        for (JsonNode table : maren.get("/api/v1/tables").expect(200).body()) {
            assertThat(new String(
                            maren.get("/api/v1/tables/" + table.path("name").asString())
                                    .expect(200)
                                    .bytes(),
                            StandardCharsets.UTF_8))
                    .as(table.path("name").asString())
                    .contains("\r\n");
        }
        assertThat(JSON.readTree(maren.get("/api/v1/nursery-file").expect(200).bytes())
                        .path("layers"))
                .hasSize(644);
        assertThat(maren.get("/api/v1/layers?limit=500").expect(200).body().path("layers"))
                .hasSize(500);
        maren.get("/api/v1/round").expect(200);
        maren.get("/api/v1/ledger?by=SPECIES").expect(200);
    }

    @Test
    @Order(5)
    void its_nursery_file_takes_the_place_of_another() throws Exception {
        try (TestNursery other = TestNursery.ofItsOwn();
                GZIPInputStream in = new GZIPInputStream(Files.newInputStream(OLD.resolve("nursery.json.gz")))) {
            Client owner = other.confirmedOwner();
            String path = "/api/v1/imports/" + UUID.randomUUID();
            owner.putFile(path + "?name=old.json", "application/json", in.readAllBytes())
                    .expect(201);
            Map<String, Object> how = Map.of("nursery", "Quern Wood");
            owner.post(path + "/takings", how).expect(202);
            assertThat(state(other)).isEqualTo("TAKEN");
            assertThat(other.sql().queryForObject("select count(*) from layer", Integer.class))
                    .isEqualTo(644);
            assertThat(other.bean(Rebuild.class).run().toString()).contains("644 layers", " 0 rows changed");
        }
    }

    /** Read from the database: whoever was signed in signs in anew in another nursery. */
    private static String state(TestNursery other) throws InterruptedException {
        String state = "TAKING";
        for (int i = 0; i < 1500 && state.equals("TAKING"); i++) {
            Thread.sleep(100);
            state = String.valueOf(other.sql().queryForObject("select max(state) from import_file", String.class));
        }
        return state;
    }

    private String code() {
        return nursery.sql()
                .queryForObject(
                        "select code from layer where phase = 'ON_MOTHER' order by id desc limit 1", String.class);
    }

    private int records() {
        Integer count = nursery.sql().queryForObject("select count(*) from layer_event", Integer.class);
        return count == null ? 0 : count;
    }

    private List<Map<String, Object>> live() {
        return nursery.sql()
                .queryForList("select code, step from layer where phase in ('ON_MOTHER', 'SEVERED', 'POTTED')"
                        + " order by id");
    }

    private List<Map<String, Object>> finished() {
        return nursery.sql()
                .queryForList(
                        "select code, phase, stage, fill_percent, rooted, established, loss_cause, ready_low,"
                                + " ready_high, full_on, severed_on, ended_on, minutes, medium_ml, film_cm2, rules_number,"
                                + " profile_number, as_of from layer where phase in ('RELEASED', 'LOST', 'WITHDRAWN') order by id");
    }
}
