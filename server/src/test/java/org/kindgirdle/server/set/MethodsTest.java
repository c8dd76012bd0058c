package org.kindgirdle.server.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Every way of layering is set and followed up. */
@ExtendWith(NurseryExtension.class)
class MethodsTest {

    private static int made;

    private final TestNursery nursery;
    private final long mother;

    MethodsTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    @AfterEach
    void today() {
        nursery.clock().moveTo(TODAY);
    }

    @ParameterizedTest
    @CsvSource({
        "AIR, RING_SCRAPED, TIED_FILM, PEEL, 1, true",
        "SOFT_TIP, LEAF_STRIPPED, SLIT_BAG, PULL_ONE_LEAF, 1, true",
        "FOIL_START, UNWOUNDED, FOIL_ONLY, FOIL_ROUND_THE_STEM, 1, false",
        "POT_STOOL, RING_SCRAPED, SPLIT_POT, SPLIT_POT_ROUND_THE_STEM, 1, true",
        "GROUND, BARK_SCRAPED, IN_GROUND, BURY, 1, true",
        "SUCKER, RING_SCRAPED, TIED_FILM, PEEL, 1, true",
        "JAR, RING_SCRAPED, TIED_FILM, STAND_IN_WATER, 0, true",
        "CUTTING, UNWOUNDED, IN_TENT, TENT, 0, true"
    })
    void it_is_set_looked_at_and_taken_to_the_pot(
            String method, String wound, String wrap, String step, int underRings, boolean isWatered) {
        Map<String, Object> batch = batch(recipe(method, wound, wrap, 1000), 9, 8);
        JsonNode preview =
                nursery.grower().post("/api/v1/set-previews", batch).expect(200).body();
        assertThat(preview.path("checklist").findValuesAsString("step"))
                .contains(step)
                .endsWith("LABEL");
        assertThat(preview.path("remarks").findValuesAsString("key").contains("EXPERIMENT"))
                .isEqualTo(method.equals("JAR"));
        long before = underRings();
        String code = nursery.grower()
                .post("/api/v1/batches", batch)
                .expect(201)
                .body()
                .at("/codes/0")
                .asString();
        assertThat(underRings() - before).isEqualTo(underRings);
        JsonNode page = page(code);
        assertThat(page.at("/jobs").findValuesAsString("code")).contains("LOOK");
        assertThat(page.at("/jobs").findValuesAsString("code").contains("TOP_UP"))
                .isEqualTo(isWatered);
        assertThat(page.at("/advice/headline").asString()).isNotEmpty();
        assertThat(page.at("/recipe/method").asString()).isEqualTo(method);
        // it is found full, taken to the pot, and walks up the ladder like any other
        nursery.clock().moveTo(TODAY.plusDays(60));
        nursery.record(code, TestNursery.look("FILLED", 95)).expect(201);
        assertThat(page(code).at("/advice/step").asString()).startsWith("SEVER");
        nursery.record(code, Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 8, "leavesLeft", 6)))
                .expect(201);
        assertThat(page(code).path("phase").asString()).isEqualTo("SEVERED");
    }

    /** Line 16 of the rules that said something wrong: foil as a test led nowhere. */
    @Test
    void foil_that_found_roots_becomes_an_air_layer_and_a_limb_is_stood_in_a_jar_whole() {
        long foil = recipe("FOIL_START", "UNWOUNDED", "FOIL_ONLY", 0);
        long air = recipe("AIR", "RING_AND_TOURNIQUET", "TIED_FILM", 3000);
        long jar = recipe("JAR", "RING_SCRAPED", "TIED_FILM", 1000);
        List<String> codes = nursery.grower()
                .post("/api/v1/batches", batch(foil, 9, 8))
                .expect(201)
                .body()
                .path("codes")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
        String code = codes.get(0);
        nursery.clock().moveTo(TODAY.plusDays(30));
        nursery.record(code, TestNursery.look("CALLUS", 0)).expect(201);
        // how it is ringed has to be said, and by what can be ringed
        assertThat(nursery.record(code, again(null)).expect(400).body().toString())
                .containsPattern(Said.by("madeBy.foil"));
        assertThat(nursery.record(code, again(jar)).expect(400).body().toString())
                .containsPattern(Said.by("madeBy.ring"));
        assertThat(nursery.record(code, again(999_999L)).expect(400).body().toString())
                .containsPattern(Said.by("madeBy.unknown"));
        nursery.record(code, again(air)).expect(201);
        JsonNode page = page(code);
        assertThat(page.at("/recipe/method").asString()).isEqualTo("AIR");
        assertThat(page.at("/recipe/id").asLong()).isEqualTo(air);
        assertThat(page.at("/drawing/ball/mediumMl").asDouble()).isPositive();
        assertThat(page.path("stage").asString()).isEqualTo("NONE");
        assertThat(page.at("/jobs").findValuesAsString("code")).contains("TOP_UP");

        nursery.clock().moveTo(TODAY.plusDays(60));
        nursery.record(code, TestNursery.look("ROOTED", 40)).expect(201);
        assertThat(nursery.record(code, inWater(air)).expect(400).body().toString())
                .containsPattern(Said.by("madeBy.jar.choose"));
        nursery.record(code, inWater(jar)).expect(201);
        page = page(code);
        assertThat(page.at("/recipe/method").asString()).isEqualTo("JAR");
        assertThat(page.path("stage").asString()).isEqualTo("ROOTED");
        JsonNode water = page.at("/jobs")
                .valueStream()
                .filter(job -> job.path("code").asString().equals("TOP_UP"))
                .findFirst()
                .orElseThrow();
        assertThat(water.path("label").asString()).isEqualTo("Change the water");
        assertThat(water.path("by").asString()).isEqualTo(TODAY.plusDays(63).toString());
        // it rests on what was written down, not on what was held in mind
        assertThat(nursery.record(code, inWater(jar)).expect(400).body().toString())
                .containsPattern(Said.by("madeBy.whole"));
    }

    private static Map<String, Object> again(Long recipe) {
        Map<String, Object> details = new HashMap<>(Map.of("ringMm", 20));
        details.put("recipeId", recipe);
        return Map.of("kind", "RERUNG", "details", details);
    }

    private static Map<String, Object> inWater(long recipe) {
        return Map.of("kind", "STOOD_IN_WATER", "details", Map.of("recipeId", recipe));
    }

    @Test
    void what_stands_on_no_mother_is_told_to_be_potted_not_severed() {
        String code = nursery.grower()
                .post("/api/v1/batches", batch(recipe("CUTTING", "UNWOUNDED", "IN_TENT", 1000), 9, 8))
                .expect(201)
                .body()
                .at("/codes/0")
                .asString();
        nursery.clock().moveTo(TODAY.plusDays(50));
        nursery.record(code, TestNursery.look("FILLED", 95)).expect(201);
        assertThat(page(code).at("/advice/headline").asString()).containsPattern(Said.by("step.SEVER_NOW.CUTTING"));
    }

    @Test
    void a_base_that_is_buried_with_every_shoot_is_refused_even_where_it_resprouts() {
        long resprouts = nursery.mother("MORNIG", nursery.field());
        long recipe = recipe("POT_STOOL", "RING_SCRAPED", "SPLIT_POT", 0);
        Map<String, Object> batch = new HashMap<>(nursery.batch(resprouts, TODAY, 1));
        batch.put("recipeId", recipe);
        batch.put("liveShootBelow", false);
        Client.Answer refused = nursery.grower().post("/api/v1/batches", batch).expect(400);
        assertThat(refused.body().toString()).contains("starve");
        batch.put("recipeId", nursery.recipe());
        nursery.grower().post("/api/v1/batches", batch).expect(201);
    }

    @Test
    void a_recipe_whose_parts_do_not_go_together_is_refused_with_what_does() {
        Client.Answer refused = nursery.owner()
                .post("/api/v1/recipes", recipeBody("SOFT_TIP", "RING_SCRAPED", "TIED_FILM", 0))
                .expect(400);
        assertThat(refused.fields()).containsExactly("recipe.wound");
        assertThat(refused.body().at("/violations/0/allowed").asString()).isEqualTo("one of LEAF_STRIPPED, UNWOUNDED");
    }

    @Test
    void the_checklist_has_its_cautions_where_they_bite_and_once() {
        long mulberry = nursery.mother("MORNIG", nursery.field());
        Map<String, Object> batch = new HashMap<>(nursery.batch(mulberry, TODAY, 2));
        JsonNode steps = nursery.grower()
                .post("/api/v1/set-previews", batch)
                .expect(200)
                .body()
                .path("checklist");
        for (Map.Entry<String, String> caution : Map.of(
                        "away from the hand", "TRY_THE_BARK",
                        "milky sap can", "TRY_THE_BARK",
                        "Follow its label", "DRESS_WITH_HORMONE",
                        "dust mask", "SQUEEZE_MEDIUM")
                .entrySet()) {
            assertThat(steps.valueStream()
                            .filter(step -> step.path("cautions").toString().contains(caution.getKey()))
                            .map(step -> step.path("step").asString()))
                    .containsExactly(caution.getValue());
        }
        assertThat(steps.toString())
                .contains("3000 ppm")
                .containsPattern(Said.by("set.LOWER_CUT"))
                .containsPattern(Said.by("set.COVER", "cover", "foil"));
        long quince = nursery.mother("CYDOBL", nursery.field());
        assertThat(nursery.grower()
                        .post("/api/v1/set-previews", nursery.batch(quince, TODAY, 1))
                        .body()
                        .path("checklist")
                        .toString())
                .doesNotContain("sap");
    }

    @Test
    void heavy_soil_is_always_warned_of_and_thin_wood_only_where_a_blade_goes_round_it() {
        Map<String, Object> body = recipeBody("AIR", "RING_SCRAPED", "TIED_FILM", 0);
        body.put(
                "recipe",
                Map.ofEntries(
                        Map.entry("method", "AIR"),
                        Map.entry("wound", "RING_SCRAPED"),
                        Map.entry("hormonePpm", 0),
                        Map.entry("medium", "HEAVY_SOIL"),
                        Map.entry("wrap", "TIED_FILM"),
                        Map.entry("cover", "FOIL"),
                        Map.entry("containerG", 0),
                        Map.entry("containerMl", 0)));
        long heavy = nursery.owner()
                .post("/api/v1/recipes", body)
                .expect(201)
                .body()
                .path("id")
                .asLong();
        assertThat(remarks(batch(heavy, 18, 8))).containsPattern(Said.by("bench.heavy-soil"));
        assertThat(remarks(batch(recipe("AIR", "RING_SCRAPED", "TIED_FILM", 0), 5, 8)))
                .containsPattern(Said.by("plan.WARN.THIN"));
        assertThat(remarks(batch(recipe("SOFT_TIP", "UNWOUNDED", "SLIT_BAG", 0), 5, 8)))
                .doesNotContainPattern(Said.by("plan.WARN.THIN"));
    }

    @Test
    void the_hand_and_the_pack_of_hormone_are_kept_with_the_layer() {
        ObjectNode supplies =
                (ObjectNode) nursery.owner().get("/api/v1/supplies").body();
        supplies.putPOJO(
                "hormones",
                List.of(Map.of(
                        "name", "Powder eight",
                        "form", "POWDER",
                        "ppm", "0.8 %",
                        "lot", "K7",
                        "expiresOn", LocalDate.of(2026, 5, 1).toString())));
        nursery.owner().put("/api/v1/supplies", supplies).expect(200);
        Map<String, Object> batch = new HashMap<>(nursery.batch(mother, TODAY, 1));
        batch.put("hand", "Wren Halloway");
        batch.put("hormone", "Powder eight");
        assertThat(remarks(batch))
                .containsPattern(Said.by("bench.hormone-expired", "on", "1 May"))
                .containsPattern(Said.by("bench.hormone-strength", "has", "8000", "wants", "3000"));
        String code = nursery.grower()
                .post("/api/v1/batches", batch)
                .expect(201)
                .body()
                .at("/codes/0")
                .asString();
        JsonNode set = page(code).at("/records/0/details");
        assertThat(set.path("hand").asString()).isEqualTo("Wren Halloway");
        assertThat(set.path("hormone").asString()).isEqualTo("Powder eight, lot K7");
        String mine = nursery.set(mother, TODAY, 1).get(0);
        assertThat(page(mine).at("/records/0/details/hand").asString()).isEqualTo("Gale Fernhollow");
        JsonNode hands = nursery.grower().get("/api/v1/hands").expect(200).body();
        assertThat(hands.path("mine").asString()).isEqualTo("Gale Fernhollow");
        assertThat(hands.path("known").toString()).contains("Wren Halloway");
        batch.put("hormone", "Powder nine");
        assertThat(nursery.grower().post("/api/v1/batches", batch).expect(400).fields())
                .containsExactly("hormone");
    }

    private String remarks(Map<String, Object> batch) {
        return nursery.grower()
                .post("/api/v1/set-previews", batch)
                .expect(200)
                .body()
                .path("remarks")
                .toString();
    }

    private JsonNode page(String code) {
        return nursery.grower().get("/api/v1/layers/" + code).expect(200).body();
    }

    private long underRings() {
        return nursery.grower()
                .get("/api/v1/stock/" + mother)
                .expect(200)
                .body()
                .at("/line/underRings")
                .asLong();
    }

    private Map<String, Object> batch(long recipe, double diameterMm, int leaves) {
        Map<String, Object> batch = new HashMap<>(nursery.batch(mother, TODAY, 1));
        Map<String, Object> row = new HashMap<>(TestNursery.row(diameterMm));
        row.put("leavesBeyond", leaves);
        batch.put("recipeId", recipe);
        batch.put("rows", List.of(row));
        return batch;
    }

    private long recipe(String method, String wound, String wrap, int ppm) {
        return nursery.owner()
                .post("/api/v1/recipes", recipeBody(method, wound, wrap, ppm))
                .expect(201)
                .body()
                .path("id")
                .asLong();
    }

    private static Map<String, Object> recipeBody(String method, String wound, String wrap, int ppm) {
        made++;
        return new HashMap<>(Map.of(
                "name",
                method + " " + made,
                "school",
                "IN_LEAF",
                "recipe",
                Map.of(
                        "method",
                        method,
                        "wound",
                        wound,
                        "hormonePpm",
                        ppm,
                        "medium",
                        "MOSS",
                        "wrap",
                        wrap,
                        "cover",
                        "FOIL",
                        "containerG",
                        0,
                        "containerMl",
                        0),
                "number",
                0,
                "version",
                0));
    }
}
