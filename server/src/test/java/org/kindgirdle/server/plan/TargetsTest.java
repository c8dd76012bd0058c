package org.kindgirdle.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

@ExtendWith(NurseryExtension.class)
class TargetsTest {

    /** No other test sets layers of this species. */
    private static final String SPECIES = "CERJAP";

    private static final LocalDate NEXT_AUTUMN = LocalDate.of(2027, 11, 1);

    private final TestNursery nursery;

    TargetsTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void a_target_follows_what_is_set_rooted_potted_released_and_lost() {
        long mother = nursery.mother(SPECIES, nursery.field());
        nursery.set(mother, TODAY.minusDays(5), 3);
        JsonNode target =
                add("Katsuras for the avenue", 6, "Quern Gold").expect(201).body();
        int layers = target.path("layers").asInt();
        // what was set before it was made does not count for it
        assertThat(target.path("set").asInt()).isZero();
        assertThat(target.path("more").asInt()).isEqualTo(layers);
        assertThat(target.path("headline").asString())
                .matches(Said.by("target.setMore", "more", layers, "wanted", 6, "p", "0%"));

        List<String> codes = nursery.set(mother, TODAY, layers);
        JsonNode set = target(target);
        assertThat(set.path("set").asInt()).isEqualTo(layers);
        assertThat(set.path("more").asInt()).isZero();
        assertThat(set.path("headline").asString()).containsPattern(Said.by("target.onTheWay"));
        assertThat(set.path("expected").asDouble())
                .isBetween(set.path("low").asDouble(), set.path("high").asDouble());

        for (String code : codes.subList(0, 2)) {
            record(code, "LOST", Map.of("cause", "DRIED"));
        }
        String one = codes.get(2);
        nursery.record(one, TestNursery.look("FILLED", 100)).expect(201);
        JsonNode rooted = target(target);
        assertThat(rooted.path("lost").asInt()).isEqualTo(2);
        assertThat(rooted.path("rooted").asInt()).isEqualTo(1);
        assertThat(rooted.path("expected").asDouble())
                .isLessThan(set.path("expected").asDouble());

        record(one, "SEVERED", Map.of("leavesBefore", 9, "leavesLeft", 4));
        record(one, "POTTED", Map.of("medium", "LIGHT_MIX", "potMl", 3000));
        assertThat(target(target).path("potted").asInt()).isEqualTo(1);
        nursery.record(
                        one,
                        Map.of(
                                "kind", "RELEASED",
                                "details", Map.of("destination", "SALE"),
                                "note", "sold as it stands"))
                .expect(201);
        JsonNode released = target(target);
        assertThat(released.path("released").asInt()).isEqualTo(1);
        assertThat(released.path("rooted").asInt()).isEqualTo(1);
        assertThat(released.path("potted").asInt()).isZero();

        close(target).expect(200);
        close(target).expect(409);
        assertThat(open()).noneMatch(view -> view.path("id").equals(target.path("id")));
    }

    @Test
    void what_was_set_from_a_day_on_counts_and_other_varieties_do_not() {
        long mother = nursery.mother(SPECIES, nursery.tunnel());
        nursery.set(mother, TODAY.minusDays(20), 4);
        Map<String, Object> body = new HashMap<>(body("Last month's", 2, "Quern Gold"));
        body.put("countsFrom", TODAY.minusDays(20).toString());
        JsonNode counted =
                nursery.grower().post("/api/v1/targets", body).expect(201).body();
        assertThat(counted.path("set").asInt()).isGreaterThanOrEqualTo(4);
        JsonNode other = add("Others", 2, "Quern Silver").expect(201).body();
        assertThat(other.path("set").asInt()).isZero();
        close(counted);
        close(other);
    }

    @Test
    void too_late_is_said() {
        Map<String, Object> body = body("At once", 3, "");
        cast(body.get("plants")).put("by", TODAY.plusDays(30).toString());
        JsonNode target =
                nursery.grower().post("/api/v1/targets", body).expect(201).body();
        assertThat(target.path("more").isNull()).isTrue();
        assertThat(target.path("headline").asString()).containsPattern(Said.by("target.tooLate"));
        close(target);
    }

    @Test
    void bad_targets_are_refused_and_a_viewer_keeps_none() {
        Map<String, Object> nameless = new HashMap<>(body("", 3, ""));
        assertThat(nursery.grower()
                        .post("/api/v1/targets", nameless)
                        .expect(400)
                        .fields())
                .containsExactly("name");
        Map<String, Object> past = body("Past", 3, "");
        cast(past.get("plants")).put("by", "2020-01-01");
        nursery.grower().post("/api/v1/targets", past).expect(400);
        Map<String, Object> ahead = new HashMap<>(body("Ahead", 3, ""));
        ahead.put("countsFrom", TODAY.plusDays(1).toString());
        assertThat(nursery.grower().post("/api/v1/targets", ahead).expect(400).fields())
                .containsExactly("countsFrom");
        nursery.viewer().post("/api/v1/targets", body("Mine", 3, "")).expect(403);
        nursery.viewer().get("/api/v1/targets").expect(200);
        nursery.grower()
                .post("/api/v1/targets/999999/closing", Map.of("version", 0))
                .expect(404);
    }

    @Test
    void layers_cost_what_the_house_pays() {
        JsonNode none = numbers();
        assertThat(none.at("/cost/total").asDouble()).isZero();
        assertThat(none.at("/cost/unpriced").valueStream().map(JsonNode::asString))
                .contains("Moss", "FILM", "FOIL", "TIES", "LABELS", "HORMONE", "WORK");
        JsonNode prices = nursery.owner().get("/api/v1/prices").body();
        Map<String, Object> edit = Map.of(
                "currency",
                "crowns",
                "prices",
                Map.of(
                        "workAnHour", 24,
                        "ingredientsALitre", Map.of("Moss", 1.5),
                        "filmAM2", 0.4,
                        "foilAM2", 0.5,
                        "tie", 0.02,
                        "container", 0,
                        "label", 0.1,
                        "hormoneAMl", 0.3),
                "version",
                prices.path("version").asLong());
        nursery.grower().put("/api/v1/prices", edit).expect(403);
        nursery.owner().put("/api/v1/prices", edit).expect(200);
        JsonNode priced = numbers();
        assertThat(priced.at("/cost/currency").asString()).isEqualTo("crowns");
        assertThat(priced.at("/cost/work").asDouble())
                .isCloseTo(priced.at("/effort/minutes").asDouble() / 60 * 24, within(1e-9));
        assertThat(priced.at("/cost/materials/Moss").asDouble())
                .isCloseTo(1.5 * priced.at("/materials/ingredientsL/Moss").asDouble(), within(1e-9));
        assertThat(priced.at("/cost/perLayer").asDouble())
                .isCloseTo(
                        priced.at("/cost/total").asDouble()
                                / priced.path("layers").asInt(),
                        within(1e-9));
        assertThat(priced.at("/cost/perPlant").asDouble())
                .isGreaterThan(priced.at("/cost/perLayer").asDouble());
        assertThat(priced.at("/cost/unpriced")).isEmpty();

        nursery.owner().put("/api/v1/prices", edit).expect(409);
        Map<String, Object> negative = new HashMap<>(edit);
        negative.put("prices", Map.of("workAnHour", -1));
        nursery.owner().put("/api/v1/prices", negative).expect(400);
        Map<String, Object> back = new HashMap<>(edit);
        back.put(
                "version",
                nursery.owner().get("/api/v1/prices").body().path("version").asLong());
        back.put(
                "prices",
                Map.of(
                        "workAnHour", 0,
                        "ingredientsALitre", Map.of(),
                        "filmAM2", 0,
                        "foilAM2", 0,
                        "tie", 0,
                        "container", 0,
                        "label", 0,
                        "hormoneAMl", 0));
        nursery.owner().put("/api/v1/prices", back).expect(200);
    }

    private JsonNode numbers() {
        return nursery.grower()
                .get("/api/v1/season/numbers?placeId=" + nursery.field() + "&recipeId=" + nursery.recipe()
                        + "&speciesCode=" + SPECIES + "&wanted=10&by=" + NEXT_AUTUMN + "&confidence=0.8")
                .expect(200)
                .body();
    }

    private Client.Answer add(String name, int wanted, String variety) {
        return nursery.grower().post("/api/v1/targets", body(name, wanted, variety));
    }

    private Map<String, Object> body(String name, int wanted, String variety) {
        Map<String, Object> plants = new HashMap<>(Map.of(
                "placeId",
                nursery.field(),
                "recipeId",
                nursery.recipe(),
                "speciesCode",
                SPECIES,
                "variety",
                variety,
                "wanted",
                wanted,
                "by",
                NEXT_AUTUMN.toString(),
                "confidence",
                .8));
        return Map.of("name", name, "plants", plants);
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> cast(Object map) {
        return (Map<String, Object>) map;
    }

    private void record(String code, String kind, Map<String, Object> details) {
        nursery.record(code, Map.of("kind", kind, "details", details)).expect(201);
    }

    private List<JsonNode> open() {
        return nursery.viewer().get("/api/v1/targets").body().valueStream().toList();
    }

    private JsonNode target(JsonNode known) {
        return open().stream()
                .filter(view -> view.path("id").equals(known.path("id")))
                .findFirst()
                .orElseThrow();
    }

    private Client.Answer close(JsonNode target) {
        return nursery.grower()
                .post(
                        "/api/v1/targets/" + target.path("id").asLong() + "/closing",
                        Map.of("version", target.path("version").asLong()));
    }
}
