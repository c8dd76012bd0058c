package org.kindgirdle.server.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(NurseryExtension.class)
class BenchTest {

    private final TestNursery nursery;
    private final long mother;

    BenchTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    @Test
    void three_quarters_of_an_inch_are_19_05_millimetres() {
        String code = set(batch("3/4 in")).expect(201).body().at("/codes/0").asString();
        JsonNode page = nursery.grower().get("/api/v1/layers/" + code).body();
        assertThat(page.at("/records/0/details/diameterMm").asDouble()).isEqualTo(19.05);
        // quince bridges readily: 1.25 times 1.5 times the diameter, which is taken where nobody measured the ring
        assertThat(page.at("/drawing/ringMm").asDouble()).isEqualTo(19.05 * 1.5 * 1.25);
        assertThat(page.at("/records/0/details/ringMm").isNull()).isTrue();
    }

    /** 30 cm2 a leaf, a tent that leaves .35 of the draw, and air under 1 kPa: a ball of half a litre carries many. */
    @Test
    void what_the_leaves_will_ask_of_the_roots_is_said_before_the_ring_is_cut() {
        Map<String, Object> batch = new HashMap<>(batch("18 mm"));
        Map<String, Object> row = new HashMap<>(TestNursery.row("18 mm"));
        row.put("leavesBeyond", 900);
        batch.put("rows", List.of(row));
        JsonNode many = nursery.grower()
                .post("/api/v1/set-previews", batch)
                .expect(200)
                .body()
                .at("/rows/0");
        int keep = many.path("leavesToKeep").asInt();
        assertThat(keep).isBetween(100, 500);
        assertThat(keep + many.path("leavesToTake").asInt()).isEqualTo(900);
        row.put("leavesBeyond", 12);
        JsonNode few = nursery.grower()
                .post("/api/v1/set-previews", batch)
                .expect(200)
                .body()
                .at("/rows/0");
        assertThat(few.path("leavesToTake").asInt()).isZero();
    }

    @Test
    void what_was_previewed_is_what_is_set() {
        Map<String, Object> batch = batch("18 mm", 12);
        JsonNode preview =
                nursery.grower().post("/api/v1/set-previews", batch).expect(200).body();
        JsonNode codes = set(batch).expect(201).body().path("codes");
        for (int i = 0; i < 2; i++) {
            JsonNode page = nursery.grower()
                    .get("/api/v1/layers/" + codes.get(i).asString())
                    .body();
            assertThat(page.at("/drawing/ball")).isEqualTo(preview.at("/rows/" + i + "/ball"));
            assertThat(page.at("/forecast/q50")).isEqualTo(preview.at("/rows/" + i + "/ready50On"));
        }
    }

    @Test
    void a_batch_sent_twice_is_set_once_with_the_same_codes() {
        UUID id = UUID.randomUUID();
        Map<String, Object> batch = batch(15, 16);
        Client.Answer first =
                nursery.grower().post("/api/v1/batches", id, batch).expect(201);
        Client.Answer again =
                nursery.grower().post("/api/v1/batches", id, batch).expect(201);
        assertThat(again.body()).isEqualTo(first.body());
        assertThat(nursery.grower().get("/api/v1/stock").body().valueStream())
                .filteredOn(room -> room.at("/mother/id").asLong() == mother)
                .singleElement()
                .satisfies(room -> {
                    assertThat(room.path("underRings").asInt()).isEqualTo(2);
                    // a third of 60 leafy shoots, less the two
                    assertThat(room.path("room").asInt()).isEqualTo(18);
                });
    }

    @Test
    void a_warning_wants_a_reason() {
        Map<String, Object> late = batch("4 mm");
        late.remove("reason");
        Client.Answer refused = set(late).expect(400);
        assertThat(refused.fields()).containsOnly("reason");
        assertThat(refused.body().toString())
                .contains("Row 1: ")
                .containsPattern(Said.by("plan.WARN.THIN", "thin", "6 mm"));
        late.put("reason", "only thin wood left");
        String code = set(late).expect(201).body().at("/codes/0").asString();
        assertThat(nursery.grower()
                        .get("/api/v1/layers/" + code)
                        .body()
                        .at("/records/0/note")
                        .asString())
                .isEqualTo("only thin wood left");
    }

    @Test
    void a_start_six_weeks_after_the_last_good_day_is_called_so_before_it_is_saved() {
        nursery.clock().moveTo(TODAY.plusDays(47));
        try {
            Map<String, Object> late = new HashMap<>(nursery.batch(mother, TODAY.plusDays(47), 1));
            JsonNode preview = nursery.grower()
                    .post("/api/v1/set-previews", late)
                    .expect(200)
                    .body();
            assertThat(preview.at("/window/windowClass").asString()).isIn("CLOSED", "RISKY", "OVERWINTER");
            assertThat(preview.at("/window/readyP").asDouble()).isLessThan(.8);
            JsonNode said = preview.path("remarks")
                    .valueStream()
                    .filter(remark -> remark.path("key").asString().equals("WINDOW"))
                    .findFirst()
                    .orElseThrow();
            assertThat(said.path("level").asString()).isEqualTo("WARN");
            assertThat(said.path("sentence").asString())
                    .containsPattern(Said.by("window.lastGood"))
                    .contains("%");
            late.put("reason", " ");
            assertThat(set(late).expect(400).fields()).contains("reason");
            late.put("reason", "a mild autumn is forecast");
            String code = set(late).expect(201).body().at("/codes/0").asString();
            assertThat(nursery.grower()
                            .get("/api/v1/layers/" + code)
                            .body()
                            .at("/records/0/note")
                            .asString())
                    .isEqualTo("a mild autumn is forecast");
        } finally {
            nursery.clock().moveTo(TODAY);
        }
    }

    @Test
    void a_sick_or_protected_mother_is_not_cloned_whatever_the_reason() {
        for (Map.Entry<String, Object> fact :
                Map.<String, Object>of("sick", true, "rights", "PROTECTED").entrySet()) {
            ObjectNode edit = (ObjectNode)
                    nursery.grower().get("/api/v1/mothers/" + mother).body();
            edit.put("sick", false).put("rights", "FREE");
            edit.putPOJO(fact.getKey(), fact.getValue());
            nursery.owner().put("/api/v1/mothers/" + mother, edit).expect(200);
            Client.Answer refused = set(batch(18)).expect(400);
            assertThat(refused.fields()).containsExactly("motherId");
        }
    }

    @Test
    void more_than_a_third_of_the_leafy_shoots_is_said() {
        nursery.set(mother, TODAY, 20);
        JsonNode remarks = nursery.grower()
                .post("/api/v1/set-previews", batch(18))
                .expect(200)
                .body()
                .path("remarks");
        assertThat(remarks.toString()).containsPattern(Said.by("plan.WARN.TOO_MANY", "count", 21, "shoots", 60));
    }

    private Client.Answer set(Map<String, Object> batch) {
        return nursery.grower().post("/api/v1/batches", batch);
    }

    private Map<String, Object> batch(Object... diameters) {
        Map<String, Object> batch = new HashMap<>(nursery.batch(mother, TODAY, 1));
        batch.put("rows", Arrays.stream(diameters).map(TestNursery::row).toList());
        return batch;
    }
}
