package org.kindgirdle.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** Every table out and in again, and the whole nursery. */
class ExchangeTest {

    private static final String NASTY = "=HYPERLINK(\"http://x\";\"y\"), it's \"so\"\nand so on";

    private static final Map<String, Object> LOOK = Map.of(
            "stage",
            "FILLED",
            "sectors",
            List.of(3, 2, 1, 0, 1, 2, 3, 3),
            "fillPercent",
            87.5,
            "conditions",
            List.of("WET"));

    @Test
    void no_cell_of_any_table_is_a_formula_however_it_got_there() throws IOException {
        try (TestNursery nursery = TestNursery.ofItsOwn()) {
            fill(nursery);
            // a record of before such jobs were refused: the text of a deferred job was a live formula once
            String layer = nursery.sql().queryForObject("select min(id) from layer", String.class);
            nursery.sql()
                    .update("insert into layer_event (id, uuid, layer_id, kind, on_date, occurred_at, recorded_at,"
                            + " clock_offset_days, person_id, details, note) select next value for layer_event_seq, uuid(), "
                            + layer + ", 'DEFERRED', on_date, occurred_at, recorded_at, 0, person_id,"
                            + " '{\"jobs\":[\"=HYPERLINK(1)\",\"@SUM(1)\"],\"until\":\"2026-07-20\"}', 'a;=1+1'"
                            + " from layer_event limit 1");
            Sending from = new Sending(nursery.owner());
            int cells = 0;
            for (JsonNode table : nursery.owner().get("/api/v1/tables").body()) {
                String text = from.table(table.path("name").asString());
                for (CSVRecord row : CSVFormat.RFC4180.parse(new StringReader(text))) {
                    for (String cell : row) {
                        cells++;
                        assertThat(cell.isEmpty()
                                        || "=+-@\t\r".indexOf(cell.charAt(0)) < 0
                                        || cell.matches("-?[0-9.]+(E-?[0-9]+)?"))
                                .as(table.path("name").asString() + ": " + cell)
                                .isTrue();
                    }
                }
                // nor would a spreadsheet set to another separator find one
                assertThat(text).doesNotContainPattern("(?m)^[^\"\n]*;[=+@]");
            }
            assertThat(cells).isGreaterThan(1000);
            assertThat(from.table("records")).contains("'=HYPERLINK(1)", "\"a;=1+1\"");
        }
    }

    @Test
    void every_table_comes_back_as_it_went_and_so_does_the_whole_nursery() throws IOException {
        try (TestNursery first = TestNursery.ofItsOwn();
                TestNursery second = TestNursery.ofItsOwn()) {
            fill(first);
            Sending from = new Sending(first.owner());
            Sending to = new Sending(second.owner());
            List<String> names = first.owner()
                    .get("/api/v1/tables")
                    .expect(200)
                    .body()
                    .valueStream()
                    .map(one -> one.path("name").asString())
                    .toList();
            Map<String, String> before = new HashMap<>();
            names.forEach(name -> before.put(name, from.table(name)));
            assertThat(before.get("mothers")).contains(",''t Hof,").contains("'=HYPERLINK(\"\"http://x\"\"");
            assertThat(before.get("records"))
                    .contains(",'-5 of them white,")
                    .contains(",-90,".replace("-90", "'@home"));
            assertThat(before.get("weather")).contains("2026-07-01,-1.5,21.25,3,");

            for (String name : names) {
                UUID id = from.csv(before.get(name));
                JsonNode outcome = from.take(id, from.suggested(id, name)).path("outcome");
                assertThat(outcome.path("badRows").asInt())
                        .as("%s: %s", name, outcome)
                        .isZero();
                assertThat(outcome.path("fresh").asInt()
                                + outcome.path("changed").asInt())
                        .as("%s: %s", name, outcome)
                        .isZero();
            }
            second.clock().moveTo(TestNursery.TODAY.plusDays(1));
            for (String name : names) {
                if (name.equals("layers")) {
                    // their records set them
                    continue;
                }
                UUID id = to.csv(before.get(name));
                JsonNode mapping = to.suggested(id, name);
                String here = to.table(name);
                // somebody else holds what a change and a setting wait for: a look waits for neither
                JsonNode looked = Sending.whileHeld(
                        second,
                        List.of("select * from nursery_lock for update", "select * from counter for update"),
                        () -> to.look(id, mapping).path("outcome"));
                assertThat(to.table(name)).as("looked at: " + name).isEqualTo(here);
                JsonNode outcome = to.take(id, mapping).path("outcome");
                assertThat(outcome.path("badRows").asInt()
                                + outcome.path("broken").asString())
                        .as("%s: %s", name, outcome)
                        .isEqualTo("0");
                assertThat(looked).as("looked at: " + name).isEqualTo(outcome);
            }
            names.forEach(name -> assertThat(to.table(name)).as(name).isEqualTo(before.get(name)));

            byte[] file = from.nurseryFile();
            UUID id = to.nursery(file);
            assertThat(second.owner()
                            .post("/api/v1/imports/" + id + "/takings", Map.of("nursery", "Another"))
                            .expect(400)
                            .fields())
                    .containsExactly("nursery");
            assertThat(to.look(id, null).path("outcome").path("broken").asString())
                    .isEmpty();
            names.forEach(name -> assertThat(to.table(name)).as(name).isEqualTo(before.get(name)));
            JsonNode done = to.take(id, null, "Quern Wood");
            assertThat(done.path("state").asString()).as(done.toString()).isEqualTo("TAKEN");
            assertThat(new String(to.nurseryFile(), StandardCharsets.UTF_8))
                    .isEqualTo(new String(file, StandardCharsets.UTF_8));
        }
    }

    private static void fill(TestNursery nursery) throws IOException {
        Map<String, Object> body = new HashMap<>(TestNursery.motherBody("=M 1", "CYDOBL", nursery.field()));
        body.remove("code");
        body.put("code", "M/1");
        body.put("variety", "'t Hof");
        body.put("note", NASTY);
        long mother = nursery.grower()
                .post("/api/v1/mothers", body)
                .expect(201)
                .body()
                .path("id")
                .asLong();
        long limb = nursery.limb(mother, "+south arm", 20, "ONE_TWO", 30, 40);
        List<String> onLimb = nursery.grower()
                .post("/api/v1/batches", nursery.onLimb(mother, limb, 300, 700))
                .expect(201)
                .body()
                .path("codes")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
        List<String> codes = nursery.set(mother, TestNursery.TODAY.minusDays(90), 4);
        note(nursery, codes.get(0), "LOOKED", LOOK, "-5 of them white");
        note(nursery, codes.get(0), "SEVERED", Map.of("leavesBefore", 9, "leavesLeft", 4, "leafCm2", 21.5), "");
        Map<String, Object> potted = Map.of("medium", "LIGHT_MIX", "potMl", 3000, "placeId", nursery.tunnel());
        note(nursery, codes.get(0), "POTTED", potted, "@home");
        note(nursery, codes.get(1), "LOST", Map.of("cause", "ROTTED"), "");
        note(nursery, codes.get(2), "TOPPED_UP", Map.of("waterMl", 42.25), "");
        Map<String, Object> off = Map.of(
                "jobs", List.of("LOOK"), "until", TestNursery.TODAY.plusDays(3).toString());
        note(nursery, codes.get(2), "DEFERRED", off, "");
        String wrong = nursery.record(
                        codes.get(3), Map.of("kind", "OBSERVED", "details", Map.of("signs", List.of("DROOP"))))
                .expect(201)
                .body()
                .at("/recorded/id")
                .asString();
        nursery.record(codes.get(3), Map.of("kind", "WITHDRAWN", "details", Map.of(), "corrects", wrong))
                .expect(201);
        nursery.grower()
                .upload(
                        "/api/v1/layers/" + onLimb.get(0) + "/photos?occurredAt=2026-07-10T08:00:00Z",
                        UUID.randomUUID(),
                        "image/png",
                        picture())
                .expect(201);
        nursery.owner()
                .put("/api/v1/weather/2026-07-01", Map.of("minC", -1.5, "maxC", 21.25, "windMs", 3))
                .expect(200);
        int rules =
                nursery.owner().get("/api/v1/house-rules").body().path("number").asInt();
        nursery.owner()
                .put("/api/v1/house-rules", Map.of("number", rules, "values", Map.of("ledger.few", 12)))
                .expect(200);
        nursery.sql()
                .update(
                        "insert into learned_time values (null, 'CYDOBL', 51.5, 0.31, 24, 'Odile Quern', '2026-05-01')");
        nursery.sql()
                .update("insert into trial values (null, '=Foil?', 'Does it matter?', 0.6, 0.8, 0.05, 0.8, 82, 7,"
                        + " 'Odile Quern', '2026-04-01', null, 0, null, null, null, null)");
        nursery.sql().update("insert into trial_arm select id, 0, ?, 1 from trial", nursery.recipe());
        nursery.sql()
                .update(
                        "insert into trial_slot select null, t.id, 1, ?, ?, 0, l.id from trial t join layer l on l.code = ?",
                        mother,
                        limb,
                        onLimb.get(0));
        nursery.sql()
                .update(
                        "insert into target values (null, '@fair', 'CYDOBL', '', ?, ?, 'ONE_TWO', 15, 20,"
                                + " '2027-05-01', 0.8, 31, '2026-06-01', 'odile', '2026-06-01', null, 0)",
                        nursery.field(),
                        nursery.recipe());
        nursery.sql()
                .update(
                        "insert into planned_batch values (null, '2026-08-01', ?, ?, '{\"rows\":[]}', 'gale',"
                                + " '2026-07-10', null, false, 0)",
                        mother,
                        nursery.recipe());
    }

    private static void note(TestNursery nursery, String code, String kind, Map<String, Object> details, String note) {
        nursery.record(code, Map.of("kind", kind, "details", details, "note", note))
                .expect(201);
    }

    private static byte[] picture() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "png", out);
        return out.toByteArray();
    }
}
