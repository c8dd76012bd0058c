package org.kindgirdle.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.records.RecordKind;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The committed description is the one that the running application gives. */
@ExtendWith(NurseryExtension.class)
class OpenApiTest {

    private final TestNursery nursery;

    OpenApiTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void the_committed_description_has_not_drifted() throws IOException {
        JsonNode running = nursery.owner().get("/api/v1/openapi").expect(200).body();
        if (Boolean.getBoolean("openapi.write")) {
            JsonMapper json = JsonMapper.builder()
                    .enable(SerializationFeature.INDENT_OUTPUT)
                    .build();
            Files.writeString(ApiDocument.FILE, json.writeValueAsString(running) + "\n");
        }
        assertThat(running)
                .as("run: mvn -pl server -am test -Dtest=OpenApiTest -Dopenapi.write=true, then npm run types in web")
                .isEqualTo(ApiDocument.read());
    }

    @Test
    void what_a_record_holds_goes_by_its_kind() {
        JsonNode schemas = ApiDocument.read().path("components").path("schemas");
        List<String> all = Arrays.stream(RecordKind.values()).map(Enum::name).toList();
        assertThat(kinds(schemas.path("RecordView"))).containsExactlyInAnyOrderElementsOf(all);
        for (String sent : List.of("RecordRequest", "ManyRequest")) {
            assertThat(kinds(schemas.path(sent))).containsExactlyInAnyOrderElementsOf(all);
        }
    }

    private static List<String> kinds(JsonNode schema) {
        return schema.path("oneOf")
                .valueStream()
                .map(branch -> branch.at("/properties/kind/enum/0").asString())
                .toList();
    }
}
