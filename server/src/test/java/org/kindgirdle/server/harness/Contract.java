package org.kindgirdle.server.harness;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * What the description of the API promises of an answer, held against the answer: the status, the kind of body, every
 * field, and none beside them.
 */
final class Contract {

    /** Then the one on disk promises what was so before. */
    private static final boolean IS_BEING_WRITTEN = Boolean.getBoolean("openapi.write");

    private static final JsonMapper JSON = new JsonMapper();
    private static final JsonNode DOCUMENT = JSON.readTree(Path.of("../docs/openapi.json"));
    private static final ObjectNode COMPONENTS = closed(DOCUMENT.path("components"));
    private static final List<Operation> OPERATIONS = operations();
    private static final Map<String, Schema> READ = new ConcurrentHashMap<>();

    private Contract() {}

    private record Operation(String method, String path, Pattern pattern, JsonNode responses) {}

    /** @throws AssertionError if the answer is not what is promised */
    static void hold(String method, String address, int status, Optional<String> type, byte[] body) {
        if (IS_BEING_WRITTEN) {
            return;
        }
        String path = address.split("\\?", 2)[0];
        Operation operation = OPERATIONS.stream()
                .filter(one ->
                        one.method.equals(method) && one.pattern.matcher(path).matches())
                .findFirst()
                .orElse(null);
        if (operation == null) {
            return;
        }
        String said = method + " " + operation.path + " " + status;
        JsonNode promised = operation.responses.has(Integer.toString(status))
                ? operation.responses.path(Integer.toString(status))
                : operation.responses.path("default");
        if (status < 400 && !operation.responses.has(Integer.toString(status))) {
            throw new AssertionError(said + " is not promised, only " + operation.responses.propertyNames());
        }
        JsonNode content = promised.path("content");
        if (body.length == 0 || content.isMissingNode()) {
            if (body.length != 0) {
                throw new AssertionError(said + " promises no body, and has one");
            }
            return;
        }
        String kind = type.map(sent -> sent.split(";", 2)[0].strip()).orElse("");
        JsonNode media = content.has(kind) ? content.path(kind) : content.path("*/*");
        if (media.isMissingNode()) {
            throw new AssertionError(said + " is sent as " + kind + ", promised as " + content.propertyNames());
        }
        if (kind.endsWith("json") && media.has("schema")) {
            holdBody(said, media.path("schema"), new String(body, StandardCharsets.UTF_8));
        }
    }

    private static void holdBody(String said, JsonNode schema, String body) {
        Schema reader = READ.computeIfAbsent(schema.toString(), text -> {
            ObjectNode whole = JSON.createObjectNode();
            whole.put("$schema", "https://json-schema.org/draft/2020-12/schema");
            whole.set("components", COMPONENTS);
            whole.setAll((ObjectNode) schema);
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(JSON.writeValueAsString(whole));
        });
        var wrong = reader.validate(
                body,
                InputFormat.JSON,
                context -> context.executionConfig(config -> config.formatAssertionsEnabled(true)));
        if (!wrong.isEmpty()) {
            throw new AssertionError(said + " is not what is promised:\n"
                    + wrong.stream().limit(8).map(Object::toString).collect(Collectors.joining("\n")));
        }
    }

    /** Objects have the fields that are named, and no others. */
    private static ObjectNode closed(JsonNode components) {
        ObjectNode copy = (ObjectNode) components.deepCopy();
        copy.path("schemas").forEach(schema -> {
            if (schema instanceof ObjectNode one && one.has("properties") && !one.has("additionalProperties")) {
                one.put("additionalProperties", false);
            }
        });
        return copy;
    }

    private static List<Operation> operations() {
        return DOCUMENT.path("paths")
                .propertyStream()
                .flatMap(path -> path.getValue()
                        .propertyStream()
                        .map(one -> new Operation(
                                one.getKey().toUpperCase(Locale.ROOT),
                                path.getKey(),
                                Pattern.compile(
                                        path.getKey().replace(".", "\\.").replaceAll("\\{\\w+}", "[^/]+")),
                                one.getValue().path("responses"))))
                // what is written out goes before what may be anything
                .sorted((a, b) -> Boolean.compare(a.path.contains("{"), b.path.contains("{")))
                .toList();
    }
}
