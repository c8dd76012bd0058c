package org.kindgirdle.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;
import static org.kindgirdle.server.harness.TestNursery.look;
import static org.kindgirdle.server.harness.TestNursery.row;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** What was really done, and when: as it is taken down, and as it counts from then on. */
@ExtendWith(NurseryExtension.class)
class AsDoneTest {

    private static final LocalDate SET_ON = TODAY.minusDays(60);

    private final TestNursery nursery;
    private final long mother;

    AsDoneTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    @AfterEach
    void backToToday() {
        nursery.clock().moveTo(TODAY);
    }

    @Test
    void a_paper_round_typed_two_days_later_counts_as_if_it_was_typed_on_the_day() {
        List<String> onTheDay = nursery.set(mother, SET_ON, 22);
        List<String> later = nursery.set(mother, SET_ON, 22);
        for (int i = 0; i < onTheDay.size(); i++) {
            for (Map<String, Object> done : paper(i)) {
                nursery.record(onTheDay.get(i), done).expect(201);
            }
        }
        nursery.clock().moveTo(TODAY.plusDays(2));
        for (int i = 0; i < later.size(); i++) {
            for (Map<String, Object> done : paper(i)) {
                nursery.record(later.get(i), on(TODAY, done)).expect(201);
            }
        }
        for (int i = 0; i < later.size(); i++) {
            JsonNode first = page(onTheDay.get(i));
            JsonNode second = page(later.get(i));
            for (String same :
                    List.of("/forecast", "/jobs", "/advice", "/stage", "/conditions", "/lookedOn", "/odds")) {
                assertThat(second.at(same)).as(later.get(i) + same).isEqualTo(first.at(same));
            }
            assertThat(second.path("records").valueStream())
                    .allMatch(one -> one.path("conflict").isNull());
        }
    }

    /** What a round of paper says of one of its layers. */
    private static List<Map<String, Object>> paper(int i) {
        return switch (i % 4) {
            case 0 -> List.of(look("CALLUS", 0), Map.of("kind", "TOPPED_UP", "details", Map.of()));
            case 1 -> List.of(look("ROOTED", 40));
            case 2 ->
                List.of(look("CALLUS", 0, "WRAP_OPEN"), Map.of("kind", "TENDED", "details", Map.of("work", "REWRAP")));
            default -> List.of(Map.of("kind", "WRAP_SEEN", "details", Map.of("conditions", List.of())));
        };
    }

    @Test
    void what_is_written_down_later_was_done_after_what_is_there_of_that_day() {
        String code = nursery.set(mother, SET_ON, 1).get(0);
        LocalDate day = TODAY.minusDays(3);
        nursery.record(code, on(day, look("CALLUS", 0, "DRY"))).expect(201);
        nursery.record(code, on(day, Map.of("kind", "TENDED", "details", Map.of("work", "REWET"))))
                .expect(201);
        assertThat(page(code).path("conditions").size()).isZero();
    }

    @Test
    void a_day_ahead_or_said_twice_is_refused() {
        String code = nursery.set(mother, SET_ON, 1).get(0);
        nursery.record(code, on(TODAY.plusDays(1), look("CALLUS", 0))).expect(400);
        nursery.record(code, on(TODAY.minusDays(1461), look("CALLUS", 0))).expect(400);
        Map<String, Object> twice = new HashMap<>(on(TODAY, look("CALLUS", 0)));
        twice.put("occurredAt", "2026-07-09T10:00:00Z");
        nursery.record(code, twice).expect(400);
    }

    @Test
    void a_ring_and_a_bag_are_taken_as_they_were_made() {
        Map<String, Object> wide = new LinkedHashMap<>(row("3/8 in"));
        wide.put("ringMm", "38 mm");
        Map<String, Object> bag = new LinkedHashMap<>(row(12));
        bag.put("wrapped", Map.of("volumeMl", "450 mL", "tie", "ZIP"));
        List<String> codes = set(List.of(wide, bag, row(12)));
        JsonNode croton = page(codes.get(0));
        assertThat(croton.at("/drawing/ringMm").asDouble()).isEqualTo(38);
        assertThat(croton.at("/drawing/ball/ballLengthMm").asDouble()).isEqualTo(88);
        assertThat(croton.at("/suggested/ringMm").asDouble()).isEqualTo(47.5);
        JsonNode made = page(codes.get(1));
        JsonNode asked = page(codes.get(2));
        assertThat(made.at("/drawing/ball/mediumMl").asDouble()).isEqualTo(450);
        assertThat(made.at("/drawing/load/massG").asDouble())
                .isGreaterThan(asked.at("/drawing/load/massG").asDouble());
        nursery.record(codes.get(1), look("FILLED", 90)).expect(201);
        nursery.record(codes.get(2), look("FILLED", 90)).expect(201);
        assertThat(balance(codes.get(1)).path("supplyCm2").asDouble()
                        / balance(codes.get(2)).path("supplyCm2").asDouble())
                .isEqualTo(
                        450 / asked.at("/drawing/ball/mediumMl").asDouble(),
                        org.assertj.core.api.Assertions.within(1e-9));
        JsonNode lines = nursery.owner()
                .get("/api/v1/ledger?by=BRIDGING&motherId=" + mother)
                .expect(200)
                .body()
                .path("lines");
        // 38 mm on 9.5 mm of wood: four times as wide; the two others were not measured
        assertThat(set(lines, "LOW")).isEqualTo(1);
        assertThat(set(lines, "")).isEqualTo(2);
    }

    @Test
    void what_a_new_ring_was_made_with_counts_in_the_ledger() {
        String code = nursery.set(mother, SET_ON, 1).get(0);
        nursery.record(
                        code,
                        Map.of(
                                "kind",
                                "RERUNG",
                                "details",
                                Map.of(
                                        "wound",
                                        "RING_AND_TOURNIQUET",
                                        "hormonePpm",
                                        5000,
                                        "ballMedium",
                                        "COIR",
                                        "nurseRoots",
                                        true)))
                .expect(201);
        assertThat(ledger("WOUND", "RING_AND_TOURNIQUET")).isEqualTo(1);
        assertThat(ledger("HORMONE", "5000")).isEqualTo(1);
        assertThat(ledger("MEDIUM", "COIR")).isEqualTo(1);
        JsonNode found = nursery.owner()
                .get("/api/v1/layers?wound=RING_AND_TOURNIQUET&hormonePpm=5000&medium=COIR&motherId=" + mother)
                .expect(200)
                .body();
        assertThat(found.at("/layers/0/code").asString()).isEqualTo(code);
    }

    @Test
    void nothing_that_was_left_out_is_recorded_as_if_it_was_measured() {
        Map<String, Object> bare = new HashMap<>();
        bare.put("diameterMm", 12);
        bare.put("specimen", false);
        bare.put("fruitToKeep", false);
        String code = set(List.of(bare)).get(0);
        JsonNode set = page(code).at("/records/0/details");
        for (String field :
                List.of("ringMm", "wrapped", "wood", "position", "leavesBeyond", "fromUnionMm", "leanDeg", "hollow")) {
            assertThat(set.path(field).isNull()).as(field).isTrue();
        }
        assertThat(page(code)
                        .path("unmeasured")
                        .valueStream()
                        .map(one -> one.path("what").asString()))
                .containsExactly("RING", "WOOD", "POSITION", "LEAVES", "FROM_UNION", "LEAN");
        record(
                code,
                "LOOKED",
                Map.of("stage", "FILLED", "conditions", List.of()),
                "sectors",
                "fillPercent",
                "openedBy",
                "bareSide");
        record(code, "TOPPED_UP", Map.of(), "waterMl");
        record(
                code,
                "RERUNG",
                Map.of(),
                "ringMm",
                "recipeId",
                "wound",
                "hormonePpm",
                "hormone",
                "ballMedium",
                "wrapped",
                "nurseRoots");
        record(code, "LOOKED", Map.of("stage", "FILLED", "conditions", List.of()), "sectors", "fillPercent");
        record(
                code,
                "SEVERED",
                Map.of(),
                "leavesBefore",
                "leavesLeft",
                "leafCm2",
                "shelter",
                "fruitLeft",
                "aboveLimb",
                "plants");
        record(code, "POTTED", Map.of(), "medium", "potMl", "oldMedium", "circlingTrimmed");
        assertThat(page(code).at("/advice/headline").asString()).isNotBlank();
    }

    @Test
    void a_setting_is_put_right_field_by_field_and_day_by_day() {
        String code = nursery.set(mother, SET_ON, 1).get(0);
        nursery.record(code, look("CALLUS", 0)).expect(201);
        JsonNode set = page(code)
                .path("records")
                .valueStream()
                .filter(one -> one.path("kind").asString().equals("SET"))
                .findFirst()
                .orElseThrow();
        Map<String, Object> right = new LinkedHashMap<>();
        set.path("details").properties().forEach(one -> right.put(one.getKey(), one.getValue()));
        right.put("diameterMm", 20);
        right.put("ringMm", 44);
        right.put("wood", "OLDER");
        Map<String, Object> correction = Map.of(
                "kind",
                "SET",
                "corrects",
                set.path("id").asString(),
                "occurredOn",
                SET_ON.minusDays(4),
                "details",
                right);
        nursery.record(code, correction).expect(201);
        JsonNode page = page(code);
        assertThat(page.path("setOn").asString()).isEqualTo(SET_ON.minusDays(4).toString());
        assertThat(page.at("/drawing/ringMm").asDouble()).isEqualTo(44);
        assertThat(page.at("/drawing/wood").asString()).isEqualTo("OLDER");
        assertThat(page.path("lookedOn").asString()).isEqualTo(TODAY.toString());
        // no other record sets a layer, and none is set after what it was found to be
        nursery.record(code, Map.of("kind", "SET", "details", right)).expect(400);
        Map<String, Object> tooLate = new HashMap<>(correction);
        tooLate.put(
                "corrects",
                page.path("records")
                        .valueStream()
                        .filter(one -> one.path("kind").asString().equals("SET")
                                && one.path("inForce").asBoolean())
                        .findFirst()
                        .orElseThrow()
                        .path("id")
                        .asString());
        tooLate.put("occurredOn", TODAY);
        nursery.record(code, look("CALLUS", 0)).expect(201);
        assertThat(nursery.record(code, tooLate).status()).isIn(201, 409);
    }

    @Test
    void the_same_is_recorded_of_many_severed_and_potted_at_once() {
        List<String> codes = nursery.set(mother, SET_ON, 3);
        many(codes, "SEVERED", Map.of("shelter", "MIST_TENT"));
        many(codes, "POTTED", Map.of("medium", "LIGHT_MIX"));
        codes.forEach(code -> assertThat(page(code).path("phase").asString()).isEqualTo("POTTED"));
    }

    @Test
    void a_loss_that_no_cause_fits_is_told_in_its_own_words() {
        String code = nursery.set(mother, SET_ON, 1).get(0);
        nursery.record(code, Map.of("kind", "LOST", "details", Map.of("cause", "OTHER")))
                .expect(400);
        nursery.record(code, Map.of("kind", "LOST", "details", Map.of("cause", "OTHER", "words", "a mower")))
                .expect(201);
        assertThat(page(code).at("/advice/headline").asString()).contains("a mower");
        String burnt = nursery.set(mother, SET_ON, 1).get(0);
        nursery.record(burnt, Map.of("kind", "LOST", "details", Map.of("cause", "HORMONE_BURN")))
                .expect(201);
    }

    private void record(String code, String kind, Map<String, Object> details, String... unsaid) {
        nursery.record(code, Map.of("kind", kind, "details", details)).expect(201);
        JsonNode kept = page(code).at("/records/0");
        if (!kept.path("kind").asString().equals(kind)) {
            kept = page(code)
                    .path("records")
                    .valueStream()
                    .filter(one -> one.path("kind").asString().equals(kind))
                    .reduce((a, b) -> b)
                    .orElseThrow();
        }
        for (String field : unsaid) {
            assertThat(kept.path("details").path(field).isNull())
                    .as(kind + "." + field + " in " + kept)
                    .isTrue();
        }
    }

    private static Map<String, Object> on(LocalDate day, Map<String, Object> record) {
        Map<String, Object> dated = new HashMap<>(record);
        dated.put("occurredOn", day.toString());
        return dated;
    }

    private List<String> set(List<Map<String, Object>> rows) {
        Map<String, Object> batch = new HashMap<>(nursery.batch(mother, SET_ON, 1));
        batch.put("rows", rows);
        List<String> codes = new ArrayList<>();
        nursery.owner()
                .post("/api/v1/batches", batch)
                .expect(201)
                .body()
                .path("codes")
                .forEach(code -> codes.add(code.asString()));
        return codes;
    }

    private void many(List<String> codes, String kind, Map<String, Object> details) {
        Client.Answer answer =
                nursery.owner().post("/api/v1/layer-records", Map.of("codes", codes, "kind", kind, "details", details));
        answer.expect(201);
    }

    private long ledger(String by, String value) {
        return set(
                nursery.owner()
                        .get("/api/v1/ledger?by=" + by + "&motherId=" + mother)
                        .expect(200)
                        .body()
                        .path("lines"),
                value);
    }

    private static long set(JsonNode lines, String value) {
        return lines.valueStream()
                .filter(line -> line.path("value").asString().equals(value))
                .mapToLong(line -> line.path("set").asLong())
                .sum();
    }

    private JsonNode balance(String code) {
        return nursery.owner()
                .get("/api/v1/layers/" + code + "/leaf-balance")
                .expect(200)
                .body();
    }

    private JsonNode page(String code) {
        return nursery.owner().get("/api/v1/layers/" + code).expect(200).body();
    }
}
