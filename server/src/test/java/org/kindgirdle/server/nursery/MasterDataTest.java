package org.kindgirdle.server.nursery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(NurseryExtension.class)
class MasterDataTest {

    private final TestNursery nursery;

    MasterDataTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void an_edit_on_an_old_version_is_refused_with_both_sides() {
        long id = nursery.mother("CYDOBL", nursery.field());
        ObjectNode mother =
                (ObjectNode) nursery.grower().get("/api/v1/mothers/" + id).body();
        nursery.owner()
                .put("/api/v1/mothers/" + id, mother.deepCopy().put("note", "moved in May"))
                .expect(200);

        Client.Answer late = nursery.grower()
                .put("/api/v1/mothers/" + id, mother.deepCopy().put("leafyShoots", 12))
                .expect(409);
        assertThat(late.body().at("/yours/leafyShoots").asInt()).isEqualTo(12);
        assertThat(late.body().at("/current/note").asString()).isEqualTo("moved in May");
        assertThat(nursery.grower()
                        .get("/api/v1/mothers/" + id)
                        .body()
                        .path("leafyShoots")
                        .asInt())
                .isEqualTo(60);
    }

    @Test
    void a_changed_profile_moves_the_dates_of_live_layers_and_the_old_one_stays() {
        String code = nursery.set(nursery.mother("MORNIG", nursery.tunnel()), TODAY, 1)
                .get(0);
        JsonNode before = page(code);
        JsonNode mulberry = nursery.owner().get("/api/v1/species/MORNIG").body();
        int number = mulberry.path("profileNumber").asInt();
        ((ObjectNode) mulberry.path("profile")).put("d50ThermalDays", 72);
        nursery.owner().put("/api/v1/species/MORNIG", mulberry).expect(200);

        JsonNode after = page(code);
        assertThat(after.at("/forecast/q50").asString())
                .isGreaterThan(before.at("/forecast/q50").asString());
        assertThat(after.at("/advice/headline").asString())
                .isNotEqualTo(before.at("/advice/headline").asString());
        assertThat(line(code)).isEqualTo(after.at("/forecast/q50").asString());
        assertThat(nursery.sql()
                        .queryForObject(
                                "select count(*) from species_profile where species_code = 'MORNIG' and number <= ?",
                                Integer.class,
                                number + 1))
                .isEqualTo(number + 1);
    }

    @Test
    void a_changed_recipe_is_a_new_version_and_what_stands_keeps_the_old_one() {
        Map<String, Object> body = TestNursery.recipeBody("Coir for a test");
        ObjectNode recipe = (ObjectNode)
                nursery.owner().post("/api/v1/recipes", body).expect(201).body();
        long mother = nursery.mother("CYDOBL", nursery.field());
        Map<String, Object> batch = new HashMap<>(nursery.batch(mother, TODAY, 1));
        batch.put("recipeId", recipe.path("id").asLong());
        String code = nursery.grower()
                .post("/api/v1/batches", batch)
                .expect(201)
                .body()
                .at("/codes/0")
                .asString();
        JsonNode before = page(code);
        ((ObjectNode) recipe.path("recipe")).put("medium", "HEAVY_SOIL");
        nursery.owner()
                .put("/api/v1/recipes/" + recipe.path("id").asLong(), recipe)
                .expect(200);

        assertThat(page(code).at("/forecast/q50")).isEqualTo(before.at("/forecast/q50"));
        String next = nursery.grower()
                .post("/api/v1/batches", batch)
                .expect(201)
                .body()
                .at("/codes/0")
                .asString();
        assertThat(page(next).at("/recipe/number").asInt()).isEqualTo(2);
        assertThat(page(next).at("/forecast/q50").asString())
                .isGreaterThan(before.at("/forecast/q50").asString());
    }

    @Test
    void two_mothers_can_not_have_one_code() {
        nursery.grower()
                .post("/api/v1/mothers", TestNursery.motherBody("TWIN-1", "CYDOBL", nursery.field()))
                .expect(201);
        Client.Answer second = nursery.grower()
                .post("/api/v1/mothers", TestNursery.motherBody("TWIN-1", "CYDOBL", nursery.field()))
                .expect(400);
        assertThat(second.fields()).containsExactly("code");
    }

    @Test
    void degrees_fahrenheit_are_read_as_a_temperature_or_as_a_difference_by_what_the_field_is() {
        Map<String, Object> place = Map.of(
                "name", "Warm wall",
                "walkingOrder", 7,
                "exposure", "FULL",
                "minShiftC", "9 F",
                "maxShiftC", "5 C",
                "vpdFactor", 1,
                "frosts", "SITE",
                "winterLowC", "23 F",
                "stand", "OPEN",
                "version", 0);
        JsonNode saved =
                nursery.owner().post("/api/v1/places", place).expect(201).body();
        assertThat(saved.path("minShiftC").asDouble()).isEqualTo(5);
        assertThat(saved.path("maxShiftC").asDouble()).isEqualTo(5);
        assertThat(saved.path("winterLowC").asDouble()).isEqualTo(-5);
    }

    private JsonNode page(String code) {
        return nursery.grower().get("/api/v1/layers/" + code).expect(200).body();
    }

    private String line(String code) {
        return nursery.grower()
                .get("/api/v1/layers?q=" + code)
                .expect(200)
                .body()
                .at("/layers/0/ready50On")
                .asString();
    }
}
