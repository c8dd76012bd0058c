package org.kindgirdle.server.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** What a batch is warned of before it is set: by its worst row, its hormone and what its limbs bear. */
@ExtendWith(NurseryExtension.class)
class WarnedOfTest {

    private final TestNursery nursery;
    private final long mother;

    WarnedOfTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    private static Map<String, Object> row(double diameterMm, String wood) {
        Map<String, Object> row = new HashMap<>(TestNursery.row(diameterMm));
        row.put("wood", wood);
        return row;
    }

    private Map<String, Object> batch(List<Map<String, Object>> rows) {
        Map<String, Object> batch = new HashMap<>(nursery.batch(mother, TODAY, 1));
        batch.put("rows", rows);
        return batch;
    }

    private List<String> said(Map<String, Object> batch, String key) {
        JsonNode preview =
                nursery.grower().post("/api/v1/set-previews", batch).expect(200).body();
        return preview.path("remarks")
                .valueStream()
                .filter(remark -> remark.path("key").asString().equals(key))
                .map(remark -> remark.path("level").asString() + " "
                        + remark.path("sentence").asString())
                .toList();
    }

    /** A soft tip in the first row hid a 40 mm old branch with 10 %. */
    @Test
    void line_10_a_batch_is_judged_by_its_worst_row_which_is_named() {
        Map<String, Object> both = batch(List.of(row(10, "SOFT"), row(40, "OLDER")));
        assertThat(said(both, "WINDOW")).singleElement().asString().startsWith("WARN Row 2: ");
        Map<String, Object> alike = batch(List.of(row(10, "SOFT"), row(11, "SOFT")));
        assertThat(said(alike, "WINDOW")).singleElement().asString().doesNotContain("Row ");
    }

    /** "Good, 83 %" was said of a fig in clay of which 52 in 100 root. */
    @Test
    void line_10_a_chance_says_of_how_many_and_how_many_root() {
        assertThat(said(batch(List.of(row(10, "SOFT"))), "WINDOW"))
                .singleElement()
                .asString()
                .containsPattern("\\d+ in 100: set on .* \\d+ in 100 root, and of those \\d+ in 100 are full by");
    }

    @Test
    void line_11_a_hormone_above_its_band_wants_a_reason() {
        Map<String, Object> soft = batch(List.of(row(10, "SOFT")));
        assertThat(said(soft, "HORMONE_ABOVE")).singleElement().asString().startsWith("WARN Row 1: 3000 ppm");
        soft.remove("reason");
        assertThat(nursery.grower().post("/api/v1/batches", soft).expect(400).fields())
                .contains("reason");
        assertThat(said(batch(List.of(row(16, "ONE_TWO"))), "HORMONE_ABOVE")).isEmpty();
    }

    @Test
    void line_11_the_balls_of_a_limb_add_up_and_one_that_bears_too_much_is_no_longer_recommended() {
        long limb = nursery.limb(mother, "Low arm", 15, "ONE_TWO", 75, 40);
        Map<String, Object> five = nursery.onLimb(mother, limb, 200, 450, 700, 950, 1100);
        ((List<?>) five.get("rows")).forEach(row -> lean(row, 75));
        assertThat(said(five, "LIMB"))
                .anySatisfy(one -> assertThat(one)
                        .startsWith("WARN ")
                        .containsPattern(Said.by("limb.load.SMALLER_OR_PROP_FIRST", "balls", 5, "limb", "Low arm")));
        Map<String, Object> three = nursery.onLimb(mother, limb, 650, 900, 1100);
        ((List<?>) three.get("rows")).forEach(row -> lean(row, 75));
        String code = set(three);
        JsonNode stand = nursery.viewer()
                .get("/api/v1/stock/" + mother)
                .expect(200)
                .body()
                .at("/limbs/0");
        assertThat(stand.path("advice").asString()).containsPattern(Said.by("limb.advice.loaded"));
        // each of them says it on its own page, too
        JsonNode load = page(code).path("limbLoad");
        assertThat(load.path("sentence").asString())
                .matches(Said.by("limb.load.SMALLER_OR_PROP_FIRST", "balls", 3, "limb", "Low arm"));
        // a prop under the limb is under all of them
        nursery.grower()
                .post(
                        "/api/v1/layer-records",
                        Map.of(
                                "codes",
                                strings(load.path("codes")),
                                "kind",
                                "TENDED",
                                "details",
                                Map.of("work", "PROP")))
                .expect(201);
        assertThat(page(code).path("limbLoad").isNull()).isTrue();
    }

    @Test
    void line_11_a_tip_that_comes_to_rest_answers_the_load_and_is_recorded() {
        long limb = nursery.limb(mother, "Long arm", 15, "ONE_TWO", 75, 40);
        Map<String, Object> five = nursery.onLimb(mother, limb, 200, 450, 700, 950, 1100);
        ((List<?>) five.get("rows")).forEach(row -> lean(row, 75));
        assertThat(said(five, "LIMB")).anyMatch(Said.as("limb.load.SMALLER_OR_PROP_FIRST"));
        five.put("relief", "REST_TIP");
        assertThat(said(five, "LIMB"))
                .noneMatch(Said.as("limb.load.SMALLER_OR_PROP_FIRST").or(Said.as("limb.load.PROP")));
        JsonNode page = page(set(five));
        assertThat(page.path("records").findValuesAsString("kind")).containsExactly("TENDED", "SET");
        assertThat(page.at("/records/0/details/work").asString()).isEqualTo("REST_TIP");
        assertThat(page.path("alsoDo").findValuesAsString("code")).doesNotContain("PROP");
        assertThat(page.path("limbLoad").isNull()).isTrue();
    }

    @Test
    void line_16_a_limb_that_stands_in_water_is_off_its_mother_with_all_that_is_on_it() {
        long limb = nursery.limb(mother, "Wet arm", 15, "ONE_TWO", 20, 40);
        Map<String, Object> two = nursery.onLimb(mother, limb, 700, 1100);
        List<String> codes = strings(
                nursery.grower().post("/api/v1/batches", two).expect(201).body().path("codes"));
        assertThat(limb("Wet arm").path("balls").size()).isEqualTo(2);
        Map<String, Object> jar = new HashMap<>(TestNursery.recipeBody("A jar on the shelf"));
        Map<String, Object> recipe = new HashMap<>();
        ((Map<?, ?>) jar.get("recipe")).forEach((key, value) -> recipe.put(String.valueOf(key), value));
        recipe.put("method", "JAR");
        jar.put("recipe", recipe);
        long id = nursery.owner()
                .post("/api/v1/recipes", jar)
                .expect(201)
                .body()
                .path("id")
                .asLong();
        nursery.grower()
                .post(
                        "/api/v1/layer-records",
                        Map.of("codes", codes, "kind", "STOOD_IN_WATER", "details", Map.of("recipeId", id)))
                .expect(201);
        JsonNode stand = limb("Wet arm");
        assertThat(stand.path("balls").size()).isZero();
        // 700 mm are left below the lower of them
        assertThat(stand.path("lengthMm").asDouble()).isLessThan(700);
        assertThat(codes)
                .allSatisfy(code ->
                        assertThat(page(code).at("/recipe/method").asString()).isEqualTo("JAR"));
    }

    private JsonNode limb(String name) {
        return nursery.viewer()
                .get("/api/v1/stock/" + mother)
                .expect(200)
                .body()
                .path("limbs")
                .valueStream()
                .filter(one -> one.at("/limb/name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> strings(JsonNode codes) {
        return codes.valueStream().map(JsonNode::asString).toList();
    }

    private String set(Map<String, Object> batch) {
        return nursery.grower()
                .post("/api/v1/batches", batch)
                .expect(201)
                .body()
                .at("/codes/0")
                .asString();
    }

    private JsonNode page(String code) {
        return nursery.viewer().get("/api/v1/layers/" + code).expect(200).body();
    }

    @SuppressWarnings("unchecked")
    private static void lean(Object row, int degrees) {
        ((Map<String, Object>) row).put("leanDeg", degrees);
    }
}
