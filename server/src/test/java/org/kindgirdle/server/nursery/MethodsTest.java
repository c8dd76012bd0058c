package org.kindgirdle.server.nursery;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** What the form offers for a method is what a recipe of it may have, and nothing else. */
@ExtendWith(NurseryExtension.class)
class MethodsTest {

    private final TestNursery nursery;
    private int made;

    MethodsTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void all_methods_come_in_the_order_of_the_form() {
        assertThat(methods())
                .extracting(one -> one.path("method").asString())
                .containsExactlyElementsOf(
                        Arrays.stream(Method.values()).map(Enum::name).toList());
    }

    /** What a ball is, what bridges and what is drawn turns on these; a wire alone takes no bark off. */
    @Test
    void what_a_wound_does_to_the_bark_is_told() {
        JsonNode wounds = methods().get(Method.AIR.ordinal()).path("wounds");
        assertThat(told(wounds, "ring"))
                .containsExactlyInAnyOrder("RING_SCRAPED", "RING_UNSCRAPED", "RING_AND_TOURNIQUET");
        assertThat(told(wounds, "scraped")).containsExactlyInAnyOrder("RING_SCRAPED", "RING_AND_TOURNIQUET");
    }

    private static List<String> told(JsonNode wounds, String what) {
        return wounds.valueStream()
                .filter(one -> one.path(what).asBoolean())
                .map(one -> one.path("wound").asString())
                .toList();
    }

    @Test
    void every_wound_and_wrap_that_is_offered_is_taken_and_every_other_refused() {
        for (JsonNode method : methods()) {
            List<String> wounds = method.path("wounds")
                    .valueStream()
                    .map(one -> one.path("wound").asString())
                    .toList();
            List<String> wraps = texts(method.path("wraps"));
            for (Wound wound : Wound.values()) {
                assertThat(isTaken(method, wound.name(), wraps.get(0)))
                        .as("%s by %s", method.path("method"), wound)
                        .isEqualTo(wounds.contains(wound.name()));
            }
            for (Wrap wrap : Wrap.values()) {
                assertThat(isTaken(method, wounds.get(0), wrap.name()))
                        .as("%s in %s", method.path("method"), wrap)
                        .isEqualTo(wraps.contains(wrap.name()));
            }
        }
    }

    private boolean isTaken(JsonNode method, String wound, String wrap) {
        Map<String, Object> recipe =
                new HashMap<>(Map.of("method", method.path("method").asString(), "wound", wound, "wrap", wrap));
        recipe.putAll(Map.of("hormonePpm", 0, "medium", "MOSS", "cover", "CLEAR", "containerG", 0, "containerMl", 0));
        Map<String, Object> body = new HashMap<>(Map.of("name", "Try " + made++, "school", "IN_LEAF"));
        body.putAll(Map.of("recipe", recipe, "number", 0, "version", 0));
        int status = nursery.owner().post("/api/v1/recipes", body).status();
        assertThat(status).isIn(201, 400);
        return status == 201;
    }

    private List<JsonNode> methods() {
        return nursery.grower()
                .get("/api/v1/methods")
                .expect(200)
                .body()
                .valueStream()
                .toList();
    }

    private static List<String> texts(JsonNode list) {
        return list.valueStream().map(one -> one.asString()).toList();
    }
}
