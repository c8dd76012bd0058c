package org.kindgirdle.server.layers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

@ExtendWith(NurseryExtension.class)
class LayerListTest {

    private final TestNursery nursery;
    private final long mother;
    private final List<String> codes;

    LayerListTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("ERIJAP", nursery.tunnel());
        this.codes = nursery.set(mother, TODAY, 7);
    }

    @ParameterizedTest
    @ValueSource(strings = {"due", "code", "set"})
    void pages_of_any_order_give_every_layer_once(String sort) {
        List<String> seen = new ArrayList<>();
        String cursor = "";
        do {
            JsonNode page = list("motherId=" + mother + "&limit=3&sort=" + sort + cursor);
            page.path("layers").forEach(line -> seen.add(line.path("code").asString()));
            cursor = page.path("next").isNull()
                    ? ""
                    : "&cursor=" + page.path("next").asString();
        } while (!cursor.isEmpty());
        assertThat(seen).containsExactlyInAnyOrderElementsOf(codes);
    }

    @Test
    void a_layer_is_found_by_its_code_however_it_is_typed_and_by_any_words() {
        String code = codes.get(2);
        for (String typed : List.of(code, code.toLowerCase(), code.replace("-", ""), " " + code + " ")) {
            assertThat(found(typed)).containsExactly(code);
        }
        assertThat(found("loquat quern")).contains(code);
        assertThat(found("tunnel ERIOBOTRYA")).contains(code);
        assertThat(found("%")).isEmpty();
        assertThat(found("' or 1=1 --")).isEmpty();
    }

    @Test
    void filters_narrow_one_another_and_notes_are_found_by_their_words() {
        nursery.record(codes.get(0), TestNursery.look("FILLED", 80)).expect(201);
        nursery.record(codes.get(1), Map.of("kind", "NOTED", "details", Map.of(), "note", "wasps nest near the union"))
                .expect(201);
        String here = "motherId=" + mother + "&placeId=" + nursery.tunnel();
        assertThat(codesOf(list(here + "&stage=FILLED"))).containsExactly(codes.get(0));
        assertThat(codesOf(list(here + "&stage=NONE&species=ERIJAP")))
                .hasSize(6)
                .doesNotContain(codes.get(0));
        assertThat(codesOf(list(here + "&species=CYDOBL"))).isEmpty();
        assertThat(codesOf(list("placeId=" + nursery.field() + "&motherId=" + mother)))
                .isEmpty();
        assertThat(found("wasps")).containsExactly(codes.get(1));
        assertThat(found("wasp union")).containsExactly(codes.get(1));
        assertThat(list(here).path("count").asInt()).isEqualTo(7);
        assertThat(codesOf(list(here + "&late=true"))).isEmpty();
        assertThat(codesOf(list(here + "&hand=Gale%20Fernhollow"))).hasSize(7);
        assertThat(codesOf(list(here + "&hand=Nobody"))).isEmpty();
        String batch =
                nursery.sql().queryForObject("select batch_id from layer where code = ?", String.class, codes.get(3));
        assertThat(codesOf(list("batch=" + batch))).containsExactlyInAnyOrderElementsOf(codes);
        assertThat(nursery.grower()
                        .get("/api/v1/layers?stage=RIPE")
                        .expect(400)
                        .body()
                        .toString())
                .contains("stage")
                .contains("FILLED");
        assertThat(nursery.grower()
                        .get("/api/v1/layers?limit=501")
                        .expect(400)
                        .body()
                        .toString())
                .contains("limit");
    }

    @Test
    void one_answer_tells_all_that_is_wrong_with_an_address() {
        JsonNode refused = nursery.grower()
                .get("/api/v1/layers?phase=LIMBO&year=1200&limit=501&late=true")
                .expect(400)
                .body();
        assertThat(refused.path("violations")
                        .valueStream()
                        .map(each -> each.path("field").asString()))
                .containsExactlyInAnyOrder("phase", "year", "limit");
    }

    @Test
    void everybody_keeps_their_own_filters_under_names() {
        Map<String, String> full = Map.of("name", "Full balls", "query", "stage=FILLED&phase=ON_MOTHER");
        nursery.viewer().put("/api/v1/me/layer-filters", full).expect(200);
        nursery.viewer()
                .put("/api/v1/me/layer-filters", Map.of("name", "Full balls", "query", "stage=MATURE"))
                .expect(200);
        JsonNode mine = nursery.viewer().get("/api/v1/me/layer-filters").body();
        assertThat(mine).hasSize(1);
        assertThat(mine.get(0).path("query").asString()).isEqualTo("stage=MATURE");
        assertThat(nursery.grower().get("/api/v1/me/layer-filters").body()).isEmpty();
        long id = mine.get(0).path("id").asLong();
        nursery.grower().delete("/api/v1/me/layer-filters/" + id).expect(204);
        assertThat(nursery.viewer().get("/api/v1/me/layer-filters").body())
                .as("nobody throws away another's")
                .hasSize(1);
        nursery.viewer().delete("/api/v1/me/layer-filters/" + id).expect(204);
        assertThat(nursery.viewer().get("/api/v1/me/layer-filters").body()).isEmpty();
    }

    private static List<String> codesOf(JsonNode lines) {
        return lines.path("layers")
                .valueStream()
                .map(line -> line.path("code").asString())
                .toList();
    }

    private List<String> found(String text) {
        return list("limit=500&q=" + URLEncoder.encode(text, StandardCharsets.UTF_8))
                .path("layers")
                .valueStream()
                .map(line -> line.path("code").asString())
                .toList();
    }

    private JsonNode list(String query) {
        return nursery.viewer().get("/api/v1/layers?" + query).expect(200).body();
    }
}
