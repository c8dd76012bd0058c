package org.kindgirdle.server.look;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** Leaf-out and leaf fall, as somebody saw them. */
@ExtendWith(NurseryExtension.class)
class LeafTest {

    private final TestNursery nursery;

    LeafTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    /** Line 7 of the rules that said something wrong: nobody could say that the leaves had fallen. */
    @Test
    void a_full_ball_is_cut_when_its_leaves_were_seen_to_have_fallen_and_not_before() {
        try (TestNursery own = TestNursery.ofItsOwn()) {
            long recipe = own.confirmedOwner()
                    .post("/api/v1/recipes", dormant(own))
                    .expect(201)
                    .body()
                    .path("id")
                    .asLong();
            long mother = own.mother("CYDOBL", own.field());
            Map<String, Object> batch = new HashMap<>(own.batch(mother, TestNursery.TODAY.minusDays(60), 1));
            batch.put("recipeId", recipe);
            String code = own.grower()
                    .post("/api/v1/batches", batch)
                    .expect(201)
                    .body()
                    .path("codes")
                    .path(0)
                    .asString();
            LocalDate expected = LocalDate.parse(
                    leaf(own.viewer().get("/api/v1/leaf-seasons").expect(200).body(), "CYDOBL")
                            .path("leafFallOn")
                            .asString());
            LocalDate autumn = expected.minusDays(12);
            own.clock().moveTo(autumn);
            own.record(code, TestNursery.look("FILLED", 100)).expect(201);
            assertThat(step(own, code)).isEqualTo("HOLD_DORMANT");
            JsonNode asked =
                    leaf(own.viewer().get("/api/v1/round").expect(200).body().path("leaves"), "CYDOBL");
            assertThat(asked.path("asked").asString()).isEqualTo("LEAF_FALL");
            assertThat(LocalDate.parse(asked.path("leafFallOn").asString())).isEqualTo(expected);

            JsonNode record =
                    fall(own.grower(), own.field(), autumn).expect(201).body();
            assertThat(step(own, code)).isEqualTo("SEVER_DORMANT");
            assertThat(own.viewer().get("/api/v1/round").body().path("leaves").size())
                    .as("what was said is not asked again")
                    .isZero();
            JsonNode season =
                    leaf(own.viewer().get("/api/v1/leaf-seasons").expect(200).body(), "CYDOBL");
            assertThat(season.path("leafFallOn").asString()).isEqualTo(autumn.toString());
            assertThat(season.path("leafFall").path("by").asString()).isNotEmpty();

            own.grower()
                    .send("DELETE", "/api/v1/leaf-records/" + record.path("id").asLong(), UUID.randomUUID(), null, true)
                    .expect(200);
            assertThat(step(own, code)).isEqualTo("HOLD_DORMANT");
            // nothing that was recorded is ever gone
            assertThat(own.sql()
                            .queryForObject(
                                    "select count(*) from leaf_record where taken_back_on is not null", Integer.class))
                    .isEqualTo(1);
        }
    }

    @Test
    void what_can_not_have_been_seen_is_refused_in_words() {
        nursery.mother("CYDOBL", nursery.field());
        Client grower = nursery.grower();
        LocalDate today = TestNursery.TODAY;
        assertThat(fall(grower, nursery.field(), today.plusDays(1))
                        .expect(400)
                        .body()
                        .toString())
                .containsPattern(Said.by("leaf.seen"));
        assertThat(fall(grower, 999_999, today).expect(404).body().toString()).contains("999999");
        assertThat(grower.post("/api/v1/leaf-records", leaf(nursery.field(), "FEISEL", "LEAF_FALL", today))
                        .status())
                .isEqualTo(400);
        fall(grower, nursery.tunnel(), today.minusDays(250)).expect(201);
        // in one season the later record puts the earlier right
        fall(grower, nursery.tunnel(), today.minusDays(245)).expect(201);
        assertThat(nursery.sql()
                        .queryForObject(
                                "select count(*) from leaf_record where place_id = ? and taken_back_on is null",
                                Integer.class,
                                nursery.tunnel()))
                .isEqualTo(1);
        assertThat(grower.post(
                                "/api/v1/leaf-records",
                                leaf(nursery.tunnel(), "CYDOBL", "LEAF_OUT", today.minusDays(240)))
                        .expect(400)
                        .body()
                        .toString())
                .containsPattern(Said.by("leaf.close.LEAF_FALL", "on", "7 November 2025"));
        assertThat(nursery.viewer()
                        .post("/api/v1/leaf-records", leaf(nursery.tunnel(), "CYDOBL", "LEAF_OUT", today))
                        .status())
                .isEqualTo(403);
    }

    private static Client.Answer fall(Client by, long place, LocalDate on) {
        return by.post("/api/v1/leaf-records", leaf(place, "CYDOBL", "LEAF_FALL", on));
    }

    private static Map<String, Object> leaf(long place, String species, String kind, LocalDate on) {
        return Map.of("placeId", place, "speciesCode", species, "kind", kind, "on", on.toString());
    }

    private static JsonNode leaf(JsonNode seasons, String species) {
        return seasons.valueStream()
                .filter(one -> one.path("speciesCode").asString().equals(species))
                .findFirst()
                .orElseThrow();
    }

    private static String step(TestNursery own, String code) {
        return own.viewer()
                .get("/api/v1/layers/" + code)
                .expect(200)
                .body()
                .at("/advice/step")
                .asString();
    }

    private static Map<String, Object> dormant(TestNursery own) {
        Map<String, Object> body = new HashMap<>(TestNursery.recipeBody("Dormant " + UUID.randomUUID()));
        body.put("school", "DORMANT");
        return body;
    }
}
