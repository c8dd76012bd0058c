package org.kindgirdle.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
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
