package org.kindgirdle.server.http;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The description of the API as it is committed. */
final class ApiDocument {

    static final Path FILE = Path.of("../docs/openapi.json");

    private ApiDocument() {}

    static JsonNode read() {
        return new JsonMapper().readTree(FILE);
    }

    /** "POST /api/v1/batches" for every operation with one of the methods. */
    static Stream<String> operations(List<String> methods) {
        return read().path("paths")
                .propertyStream()
                .flatMap(path -> methods.stream()
                        .filter(method -> path.getValue().has(method))
                        .map(method -> method.toUpperCase(Locale.ROOT) + " " + path.getKey()));
    }
}
