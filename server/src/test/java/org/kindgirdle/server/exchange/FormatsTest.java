package org.kindgirdle.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** What docs/formats says of the files is what the running application writes and reads. */
@ExtendWith(NurseryExtension.class)
class FormatsTest {

    private static final Path FORMATS = Path.of("../docs/formats");

    private final TestNursery nursery;
    private final JsonMapper json =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    FormatsTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void the_schema_is_the_committed_one_and_a_nursery_file_keeps_to_it() throws IOException {
        JsonNode running =
                nursery.viewer().get("/api/v1/nursery-schema").expect(200).body();
        String schema = committed("nursery.schema.json", json.writeValueAsString(running) + "\n");
        assertThat(running).isEqualTo(json.readTree(schema));
        nursery.set(nursery.mother("CYDOBL", nursery.field()), TestNursery.TODAY, 2);
        String file = new String(new Sending(nursery.owner()).nurseryFile(), StandardCharsets.UTF_8);
        Schema reader = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(schema);
        assertThat(reader.validate(file, InputFormat.JSON)).isEmpty();
        assertThat(reader.validate(file.replaceFirst("\"fullName\"", "\"surname\""), InputFormat.JSON))
                .isNotEmpty();
    }

    @Test
    void the_tables_are_described_as_they_are() throws IOException {
        StringBuilder text = new StringBuilder("""
                # The tables as CSV

                Made from the running application; `FormatsTest` compares.

                UTF-8, RFC 4180: commas, a header with the names below, CRLF; days as 2026-07-10, instants as \
                2026-07-10T09:30:00Z, numbers with a point, quantities in the unit at the end of the name. Columns may \
                stand in any order, and some may be left out: a new row then has what is usual, one that is here keeps \
                what it has. An empty cell is nothing, or an empty text.

                Text that a spreadsheet would take for a formula (it begins with `=`, `+`, `-`, `@`, a tab or a line \
                end), and text that begins with an apostrophe, goes out with an apostrophe before it; coming in, exactly \
                one is taken away. Numbers have none.

                Several values in a cell have a semicolon between them; parts are written `Moss: 2; Perlite: 1`.

                Tables that others refer to come first. *needed*: a new row must have it. *out only*: an import passes \
                over it.
                """);
        nursery.viewer().get("/api/v1/tables").expect(200).body().valueStream().forEach(table -> describe(table, text));
        assertThat(text).hasToString(committed("tables.md", text.toString()));
    }

    private static void describe(JsonNode table, StringBuilder to) {
        to.append("\n## ").append(table.path("name").asString()).append("\n\n");
        to.append("| column | holds | |\n|---|---|---|\n");
        table.path("columns").valueStream().forEach(column -> {
            StringBuilder holds = new StringBuilder(
                    column.path("kind").asString().toLowerCase(Locale.ROOT).replace('_', ' '));
            if (!column.path("range").asString().isEmpty()) {
                holds.append(", ").append(column.path("range").asString());
            }
            if (!column.path("codes").isEmpty()) {
                holds.append(": ")
                        .append(String.join(
                                ", ",
                                column.path("codes")
                                        .valueStream()
                                        .map(JsonNode::asString)
                                        .toList()));
            }
            to.append("| `")
                    .append(column.path("name").asString())
                    .append("` | ")
                    .append(holds)
                    .append(" | ");
            to.append(
                    column.path("readOnly").asBoolean()
                            ? "out only"
                            : column.path("needed").asBoolean() ? "needed" : "");
            to.append(" |\n");
        });
    }

    private static String committed(String name, String now) throws IOException {
        Path file = FORMATS.resolve(name);
        if (Boolean.getBoolean("formats.write")) {
            Files.createDirectories(FORMATS);
            Files.writeString(file, now);
        }
        return Files.readString(file);
    }
}
