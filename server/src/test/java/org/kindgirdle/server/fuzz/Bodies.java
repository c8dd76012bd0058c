package org.kindgirdle.server.fuzz;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Values made from schemas: as they should be, and spoilt at one place. */
final class Bodies {

    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private static final List<String> AWKWARD = List.of(
            "",
            " ",
            "0",
            "-1",
            "NaN",
            "true",
            "2026-02-30",
            "9999-12-31",
            "0001-01-01",
            "+99999-01-01",
            "\u0000",
            "a\u0007b",
            "\u202Etxt",
            "１２",
            "３/4 in",
            "=1+1",
            "{{x}}",
            "{}",
            "${jndi}",
            "' or 1=1 --",
            "<script>alert(1)</script>",
            "../../etc/passwd",
            "\uD83C\uDF31",
            "桑の木",
            "1e-320",
            "1e400",
            "mm",
            "3/0 in");

    private static final List<String> NUMBERS = List.of(
            "-1", "0", "1e-320", "1e308", "99999999999", "-99999999999999999999", "2147483648", "0.1", "-0.0", "1e400");

    private final JsonNode schemas;
    private final Random random;
    private final Map<String, List<String>> known;

    /** @param known values that mean something here, by the name of the field or parameter */
    Bodies(JsonNode schemas, Random random, Map<String, List<String>> known) {
        this.schemas = schemas;
        this.random = random;
        this.known = known;
    }

    JsonNode valid(JsonNode schema, String name, int depth) {
        JsonNode of = resolved(schema);
        List<JsonNode> any = new ArrayList<>();
        of.path("anyOf").valueStream().forEach(any::add);
        of.path("oneOf").valueStream().forEach(any::add);
        if (!any.isEmpty()) {
            return valid(any.get(random.nextInt(any.size())), name, depth + 1);
        }
        List<JsonNode> values = of.path("enum").valueStream().toList();
        if (!values.isEmpty()) {
            return values.get(random.nextInt(values.size()));
        }
        return switch (type(of)) {
            case "object" -> object(of, depth);
            case "array" -> list(of, name, depth);
            case "boolean" -> NODES.booleanNode(random.nextBoolean());
            case "integer" -> whole(of, name);
            case "number" -> NODES.numberNode(number(of));
            case "null" -> NODES.nullNode();
            default -> text(of, name);
        };
    }

    private JsonNode resolved(JsonNode schema) {
        JsonNode at = schema;
        while (at.has("$ref")) {
            at = schemas.path(at.path("$ref").asString().replaceFirst(".*/", ""));
        }
        return at;
    }

    private String type(JsonNode of) {
        JsonNode type = of.path("type");
        if (type.isArray()) {
            return type.get(random.nextInt(type.size())).asString();
        }
        return type.isMissingNode() ? "object" : type.asString();
    }

    private ObjectNode object(JsonNode of, int depth) {
        ObjectNode made = NODES.objectNode();
        List<String> required =
                of.path("required").valueStream().map(JsonNode::asString).toList();
        of.path("properties").propertyStream().forEach(property -> {
            if (required.contains(property.getKey()) || depth < 6 && random.nextInt(3) > 0) {
                made.set(property.getKey(), valid(property.getValue(), property.getKey(), depth + 1));
            }
        });
        JsonNode more = of.path("additionalProperties");
        if (more.isObject()) {
            List<JsonNode> names =
                    of.path("propertyNames").path("enum").valueStream().toList();
            for (int i = random.nextInt(3); i > 0; i--) {
                String key = names.isEmpty()
                        ? "k" + i
                        : names.get(random.nextInt(names.size())).asString();
                made.set(key, valid(more, "", depth + 1));
            }
        }
        return made;
    }

    private ArrayNode list(JsonNode of, String name, int depth) {
        ArrayNode made = NODES.arrayNode();
        int least = of.path("minItems").asInt(0);
        int most = Math.min(of.path("maxItems").asInt(least + 3), least + 3);
        int count = least + (most > least ? random.nextInt(most - least + 1) : 0);
        for (int i = 0; i < count; i++) {
            made.add(valid(of.path("items"), name, depth + 1));
        }
        return made;
    }

    private JsonNode whole(JsonNode of, String name) {
        List<String> some = known.getOrDefault(name, List.of());
        if (!some.isEmpty() && random.nextInt(5) > 0 && some.get(0).matches("\\d+")) {
            return NODES.numberNode(Long.parseLong(some.get(random.nextInt(some.size()))));
        }
        long low = (long) Math.max(of.path("minimum").asDouble(0), -1000);
        long high = (long) Math.min(of.path("maximum").asDouble(1000), low + 2000);
        return NODES.numberNode(low + (high > low ? Math.floorMod(random.nextLong(), high - low + 1) : 0));
    }

    private double number(JsonNode of) {
        double low = of.path("minimum").asDouble(0);
        double high = of.path("maximum").asDouble(Math.max(low, 100));
        return Math.round((low + random.nextDouble() * (high - low)) * 100) / 100.0;
    }

    private JsonNode text(JsonNode of, String name) {
        List<String> some = known.getOrDefault(name, List.of());
        if (!some.isEmpty() && random.nextInt(5) > 0) {
            return NODES.stringNode(some.get(random.nextInt(some.size())));
        }
        return NODES.stringNode(
                switch (of.path("format").asString("")) {
                    case "date" -> String.format("2026-%02d-%02d", 1 + random.nextInt(12), 1 + random.nextInt(28));
                    case "date-time" -> String.format("2026-07-%02dT09:30:00Z", 1 + random.nextInt(9));
                    case "uuid" -> new UUID(random.nextLong(), random.nextLong()).toString();
                    default -> plain(of);
                });
    }

    private String plain(JsonNode of) {
        if (of.path("pattern").asString("").startsWith("--")) {
            return String.format("--%02d-%02d", 1 + random.nextInt(12), 1 + random.nextInt(28));
        }
        int least = Math.max(1, of.path("minLength").asInt(1));
        StringBuilder text = new StringBuilder(random.nextInt(6) == 0 ? "18 mm" : "Word" + random.nextInt(1000));
        while (text.length() < least) {
            text.append((char) ('a' + random.nextInt(26)));
        }
        return text.substring(0, Math.min(text.length(), of.path("maxLength").asInt(200)));
    }

    /** Spoilt at one place, or at the root. */
    JsonNode spoilt(JsonNode good) {
        JsonNode copy = good.deepCopy();
        List<Runnable> places = new ArrayList<>();
        gather(copy, places);
        if (places.isEmpty()) {
            return awkward();
        }
        places.get(random.nextInt(places.size())).run();
        return copy;
    }

    private void gather(JsonNode at, List<Runnable> places) {
        if (at instanceof ObjectNode object) {
            List.copyOf(object.properties()).forEach(property -> {
                places.add(() -> object.remove(property.getKey()));
                places.add(() -> object.set(property.getKey(), awkward()));
                places.add(() -> object.set(property.getKey(), awkward()));
                gather(property.getValue(), places);
            });
            places.add(() -> object.set("unheardOf", awkward()));
        } else if (at instanceof ArrayNode list) {
            places.add(list::addNull);
            for (int i = 0; i < list.size(); i++) {
                int index = i;
                places.add(() -> list.set(index, awkward()));
                gather(list.get(i), places);
            }
        }
    }

    private JsonNode awkward() {
        return switch (random.nextInt(8)) {
            case 0 -> NODES.nullNode();
            case 1 -> NODES.objectNode();
            case 2 -> NODES.arrayNode().addNull();
            case 3 -> NODES.booleanNode(true);
            case 4 -> NODES.numberNode(new BigDecimal(NUMBERS.get(random.nextInt(NUMBERS.size()))));
            case 5 -> NODES.stringNode("x".repeat(1 + random.nextInt(3000)));
            default -> NODES.stringNode(AWKWARD.get(random.nextInt(AWKWARD.size())));
        };
    }

    String awkwardText() {
        return AWKWARD.get(random.nextInt(AWKWARD.size()));
    }
}
