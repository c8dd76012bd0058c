package org.kindgirdle.server.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.core.house.Rule;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

@ExtendWith(NurseryExtension.class)
class HouseRulesTest {

    private static final String PATH = "/api/v1/house-rules";

    private final TestNursery nursery;

    HouseRulesTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    /** The other tests reckon by the shipped rules. */
    @AfterEach
    void forget() {
        nursery.sql().update("delete from house_rules");
        nursery.sql().update("update nursery_lock set edition = uuid()");
    }

    @Test
    void every_rule_is_there_with_its_name_range_and_reason() {
        JsonNode rules = nursery.viewer().get(PATH).expect(200).body();
        assertThat(rules.path("rules").size()).isEqualTo(Rule.all().size());
        assertThat(rules.path("number").asInt()).isZero();
        assertThat(rules.at("/rules/0/name").asString()).isNotBlank();
        assertThat(rules.at("/rules/0/reason").asString()).isNotBlank();
    }

    @Test
    void a_changed_rule_shows_what_it_moves_and_then_moves_it() {
        long mother = nursery.mother("CYDOBL", nursery.field());
        String code = nursery.set(mother, TODAY.minusDays(30), 1).get(0);
        JsonNode before = page(code);
        Map<String, Object> edit = edit(0, Map.of("wound.RING_SCRAPED.speed", .5));

        JsonNode moves =
                nursery.owner().post(PATH + "/previews", edit).expect(200).body();
        assertThat(moves.path("dates").asInt()).isPositive();
        assertThat(page(code)).isEqualTo(before);

        JsonNode saved = nursery.owner().put(PATH, edit).expect(200).body();
        assertThat(saved.path("number").asInt()).isEqualTo(1);
        JsonNode after = page(code);
        assertThat(after.at("/forecast/q50").asString())
                .isGreaterThan(before.at("/forecast/q50").asString());
        JsonNode given = nursery.grower()
                .post("/api/v1/layers/" + code + "/records", TestNursery.look("CALLUS", 0))
                .expect(201)
                .body();
        assertThat(given.toString()).isNotBlank();
        Integer number =
                nursery.sql().queryForObject("select rules_number from layer where code = ?", Integer.class, code);
        assertThat(number).isEqualTo(1);
    }

    @Test
    void everything_wrong_is_named_at_once_and_nothing_is_written() {
        Client.Answer refused = nursery.owner()
                .put(PATH, edit(0, Map.of("next.establish", 3, "no.such.rule", 1, "next.stalled", 1.5)))
                .expect(400);
        assertThat(refused.fields())
                .containsExactlyInAnyOrder("values.next.establish", "values.no.such.rule", "values.next.stalled");
        assertThat(refused.body().toString()).contains("7.0").contains("200.0").contains("whole");
        assertThat(nursery.owner()
                        .put(PATH, edit(0, Map.of("window.risky", .9)))
                        .expect(400)
                        .body()
                        .toString())
                .contains("must not be above");
        assertThat(nursery.owner().get(PATH).expect(200).body().path("number").asInt())
                .isZero();
    }

    @Test
    void two_who_edit_at_once_see_both_sides_and_only_an_owner_may() {
        nursery.owner().put(PATH, edit(0, Map.of("next.establish", 49))).expect(200);
        Client.Answer late =
                nursery.owner().put(PATH, edit(0, Map.of("next.establish", 56))).expect(409);
        assertThat(late.body().at("/yours/values/next.establish").asInt()).isEqualTo(56);
        assertThat(late.body().at("/current/number").asInt()).isEqualTo(1);
        nursery.grower().put(PATH, edit(1, Map.of("next.establish", 56))).expect(403);
    }

    private static Map<String, Object> edit(int number, Map<String, Object> values) {
        return Map.of("number", number, "values", values);
    }

    private JsonNode page(String code) {
        return nursery.grower().get("/api/v1/layers/" + code).expect(200).body();
    }
}
