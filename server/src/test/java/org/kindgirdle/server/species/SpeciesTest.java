package org.kindgirdle.server.species;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.Map;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(NurseryExtension.class)
class SpeciesTest {

    private final TestNursery nursery;

    SpeciesTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void a_species_of_ones_own_is_layered_like_any_other() {
        JsonNode added = add("OWNSPE", profile -> profile.put("d50ThermalDays", 30))
                .expect(201)
                .body();
        assertThat(added.path("origin").asString()).isEqualTo("ADDED");
        String code =
                nursery.set(nursery.mother("OWNSPE", nursery.field()), TODAY, 1).get(0);
        JsonNode layer = nursery.grower().get("/api/v1/layers/" + code).body();
        assertThat(layer.at("/species/common").asString()).isEqualTo("quern willow");
        assertThat(layer.at("/forecast/q50").asString()).isNotEmpty();
        nursery.owner().get("/api/v1/species/OWNSPE/shipped").expect(404);
    }

    @Test
    void a_species_that_makes_no_sense_is_refused_and_nothing_is_written() {
        assertThat(add("own", profile -> {}).expect(400).fields()).containsExactly("profile.code");
        assertThat(add("CYDOBL", profile -> {}).expect(400).fields()).containsExactly("profile.code");
        assertThat(add("NONAME", profile -> profile.put("common", " "))
                        .expect(400)
                        .fields())
                .containsExactly("profile.common");
        assertThat(add("TOOHOT", profile -> profile.withObject("cardinals").put("optimumC", 50))
                        .expect(400)
                        .body()
                        .toString())
                .contains("rise from base to optimum to ceiling");
        assertThat(add("SPREAD", profile -> profile.put("sigma", 9)).expect(400).fields())
                .containsExactly("profile.sigma");
        nursery.grower().post("/api/v1/species", body("GROWER", profile -> {})).expect(403);
        for (String code : new String[] {"NONAME", "TOOHOT", "SPREAD", "GROWER"}) {
            nursery.owner().get("/api/v1/species/" + code).expect(404);
        }
    }

    @Test
    void every_field_can_be_changed_and_set_back_to_what_was_shipped() {
        ObjectNode view =
                (ObjectNode) nursery.owner().get("/api/v1/species/WISSIN").body();
        assertThat(view.path("origin").asString()).isEqualTo("SHIPPED");
        ObjectNode profile = (ObjectNode) view.path("profile");
        profile.put("habit", "EVERGREEN").put("opensAtMeanC", "55 F").put("bridgesReadily", true);
        profile.put("hazards", "all parts poisonous").put("difficulty", "DIFFICULT");
        JsonNode changed =
                nursery.owner().put("/api/v1/species/WISSIN", view).expect(200).body();
        assertThat(changed.path("origin").asString()).isEqualTo("CHANGED");
        assertThat(changed.at("/profile/opensAtMeanC").asDouble()).isBetween(12.77, 12.78);

        ObjectNode back = (ObjectNode) changed.deepCopy();
        back.set(
                "profile", nursery.owner().get("/api/v1/species/WISSIN/shipped").body());
        JsonNode shipped =
                nursery.owner().put("/api/v1/species/WISSIN", back).expect(200).body();
        assertThat(shipped.path("origin").asString()).isEqualTo("SHIPPED");
        assertThat(shipped.path("profileNumber").asInt())
                .isEqualTo(view.path("profileNumber").asInt() + 2);
    }

    private Client.Answer add(String code, Consumer<ObjectNode> change) {
        return nursery.owner().post("/api/v1/species", body(code, change));
    }

    private Map<String, Object> body(String code, Consumer<ObjectNode> change) {
        ObjectNode profile = (ObjectNode)
                nursery.owner().get("/api/v1/species/COTCOG/shipped").body();
        profile.put("code", code).put("common", "quern willow").put("botanical", "Salix quernensis");
        change.accept(profile);
        return Map.of("profile", profile, "profileNumber", 0, "version", 0);
    }
}
