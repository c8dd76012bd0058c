package org.kindgirdle.server.fuzz;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.http.Roles;
import org.kindgirdle.server.http.Roles.Rank;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Sends requests that are made up from the description of the API, good and spoilt, for every operation and in every
 * role, one after another. What must never happen: an answer of 500 and more, a body taken that the description forbids,
 * a role let in that may not, a refusal that is not explained. The same seed sends the same to the same nursery.
 */
public final class Fuzz {

    private static final JsonMapper JSON = new JsonMapper();

    /** What would end the run, or move a demo years ahead. */
    private static final Set<String> LEFT_OUT =
            Set.of("DELETE /api/v1/session", "PUT /api/v1/demo-clock", "PUT /api/v1/me/password");

    private static final int MAX_FAILURES = 40;

    private final JsonNode document;
    private final Random random;
    private final Map<Rank, Supplier<Client>> signIns;
    private final Map<Rank, Client> people = new TreeMap<>();
    private final Map<String, List<String>> known = new HashMap<>();
    private final Map<String, Schema> schemas = new HashMap<>();
    private final Bodies bodies;
    private final Map<String, Integer> statuses = new TreeMap<>();
    private final List<String> failures = new ArrayList<>();

    /** Whether the address that was made last has a value that the description forbids. */
    private boolean isForbiddenQuery;

    /**
     * @param document the description of the API
     * @param signIns a fresh session in each role
     */
    public Fuzz(JsonNode document, long seed, Map<Rank, Supplier<Client>> signIns) {
        this.document = document;
        this.random = new Random(seed);
        this.signIns = signIns;
        this.bodies = new Bodies(document.path("components").path("schemas"), random, known);
    }

    /**
     * What came of it.
     *
     * @param statuses how often each came back
     * @param failures what must never happen, with what was sent
     */
    public record Result(int sent, Map<String, Integer> statuses, List<String> failures) {}

    /** @throws IllegalArgumentException if the address is not this machine's own */
    public static String local(String url) {
        String host = URI.create(url).getHost();
        if (!Set.of("127.0.0.1", "localhost", "::1", "[::1]").contains(host)) {
            throw new IllegalArgumentException(url + " is not on this machine; only an application here is tried so.");
        }
        return url.replaceFirst("/+$", "");
    }

    public Result run(int count) {
        learn();
        List<String> operations = Roles.least().keySet().stream()
                .filter(operation -> !LEFT_OUT.contains(operation))
                .toList();
        int sent = 0;
        while (sent < count && failures.size() < MAX_FAILURES) {
            String operation = operations.get(random.nextInt(operations.size()));
            Rank rank = Rank.values()[random.nextInt(Rank.values().length)];
            if (random.nextInt(20) == 0) {
                learn();
            }
            one(operation, rank);
            sent++;
        }
        return new Result(sent, statuses, failures);
    }

    private Client as(Rank rank) {
        return people.computeIfAbsent(rank, one -> signIns.get(one).get());
    }

    /** Ids and codes that mean something in this nursery. */
    private void learn() {
        Client owner = as(Rank.OWNER);
        learn("motherId", owner.get("/api/v1/mothers").body(), "id");
        learn("placeId", owner.get("/api/v1/places").body(), "id");
        learn("recipeId", owner.get("/api/v1/recipes").body(), "id");
        learn("trialId", owner.get("/api/v1/trials").body(), "id");
        learn("targetId", owner.get("/api/v1/targets").body(), "id");
        learn("plannedId", owner.get("/api/v1/planned-batches").body(), "id");
        learn("speciesCode", owner.get("/api/v1/species").body(), "profile/code");
        learn("name", owner.get("/api/v1/tables").body(), "name");
        JsonNode layers = owner.get("/api/v1/layers?limit=60").body().path("layers");
        learn("layer", layers, "code");
        known.put("codes", known.getOrDefault("layer", List.of()));
        known.put("waterMl", List.of());
    }

    private void learn(String name, JsonNode all, String path) {
        List<String> values = all.valueStream()
                .map(one -> one.at("/" + path).asString(""))
                .filter(value -> !value.isEmpty())
                .limit(60)
                .toList();
        if (!values.isEmpty()) {
            known.put(name, values);
        }
    }

    private void one(String operation, Rank rank) {
        String method = operation.split(" ")[0];
        String template = operation.split(" ")[1];
        JsonNode described = document.path("paths").path(template).path(method.toLowerCase(Locale.ROOT));
        boolean isSpoiltAddress = random.nextInt(10) == 0;
        String path = path(template, described, isSpoiltAddress);
        JsonNode schema = described
                .path("requestBody")
                .path("content")
                .path("application/json")
                .path("schema");
        String body = null;
        boolean isForbidden = isForbiddenQuery;
        if (!schema.isMissingNode()) {
            JsonNode good = bodies.valid(schema, "", 0);
            JsonNode sent = random.nextInt(3) == 0 ? good : bodies.spoilt(good);
            body = random.nextInt(25) == 0 ? garbage() : JSON.writeValueAsString(sent);
            isForbidden |= forbids(schema, body);
        } else if (!method.equals("GET") && random.nextBoolean()) {
            body = garbage();
        }
        Client client = as(rank);
        Client.Answer answer = client.send(
                method, path, new UUID(random.nextLong(), random.nextLong()), body, random.nextInt(40) != 0);
        judge(operation, rank, path, body, isForbidden, answer);
        if (answer.status() == 401 && rank != Rank.ANYONE) {
            people.remove(rank);
        }
    }

    private void judge(
            String operation,
            Rank rank,
            String path,
            @Nullable String body,
            boolean isForbidden,
            Client.Answer answer) {
        statuses.merge(Integer.toString(answer.status()), 1, Integer::sum);
        String what = null;
        boolean isTaken = answer.status() < 400;
        if (answer.status() >= 500) {
            what = "failed with " + answer.status();
        } else if (isTaken && isForbidden) {
            what = "took what the description forbids";
        } else if (isTaken && rank.compareTo(Roles.least().get(operation)) < 0) {
            what = "let in a role that may not";
        } else if (!isTaken
                && answer.headers().getOrDefault("content-type", List.of("")).stream()
                        .noneMatch(type -> type.contains("problem+json"))) {
            what = "refused with " + answer.status() + " and did not say why";
        }
        if (what != null) {
            failures.add(operation.split(" ")[0] + " " + path + " as " + rank + " " + what + "; sent: "
                    + (body == null ? "nothing" : body.substring(0, Math.min(600, body.length()))) + "; answer: "
                    + answer.body()
                            .toString()
                            .substring(0, Math.min(300, answer.body().toString().length())));
        }
    }

    private boolean forbids(JsonNode schema, String body) {
        Schema reader = schemas.computeIfAbsent(schema.toString(), text -> {
            ObjectNode whole = JSON.createObjectNode();
            whole.put("$schema", "https://json-schema.org/draft/2020-12/schema");
            whole.set("components", document.path("components"));
            whole.setAll((ObjectNode) schema);
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(JSON.writeValueAsString(whole));
        });
        try {
            JSON.readTree(body);
            return !reader.validate(
                            body,
                            InputFormat.JSON,
                            context -> context.executionConfig(config -> config.formatAssertionsEnabled(true)))
                    .isEmpty();
        } catch (RuntimeException noJson) {
            return true;
        }
    }

    private String path(String template, JsonNode described, boolean isSpoilt) {
        StringBuilder path = new StringBuilder();
        for (String part : template.substring(1).split("/")) {
            path.append('/').append(part.startsWith("{") ? encoded(value(template, part, isSpoilt)) : part);
        }
        StringBuilder query = new StringBuilder();
        isForbiddenQuery = false;
        described.path("parameters").valueStream().forEach(parameter -> {
            boolean isWanted = parameter.path("required").asBoolean() || random.nextInt(4) == 0;
            if (parameter.path("in").asString().equals("query") && isWanted) {
                String name = parameter.path("name").asString();
                String value = random.nextInt(6) == 0
                        ? bodies.awkwardText()
                        : flat(bodies.valid(parameter.path("schema"), name.equals("codes") ? "layer" : name, 0));
                query.append(query.isEmpty() ? '?' : '&')
                        .append(name)
                        .append('=')
                        .append(encoded(value));
            }
        });
        if (isSpoilt && random.nextInt(3) == 0) {
            query.append(query.isEmpty() ? '?' : '&').append("q=%FF");
        }
        return path + query.toString();
    }

    /** Of a value in the address, which is text whatever it stands for. */
    private boolean forbidsText(JsonNode schema, String text) {
        JsonNode of = schema.has("$ref")
                ? document.path("components")
                        .path("schemas")
                        .path(schema.path("$ref").asString().replaceFirst(".*/", ""))
                : schema;
        if (text.isEmpty()) {
            return false;
        }
        List<String> values =
                of.path("enum").valueStream().map(JsonNode::asString).toList();
        if (!values.isEmpty()) {
            return !values.contains(text);
        }
        String types = of.path("type").toString();
        if (types.contains("integer")) {
            return !text.matches("-?[0-9]{1,18}")
                    || of.has("minimum")
                            && Long.parseLong(text) < of.path("minimum").asDouble()
                    || of.has("maximum")
                            && Long.parseLong(text) > of.path("maximum").asDouble();
        }
        if (types.contains("number")) {
            return !text.matches("-?[0-9]+(\\.[0-9]+)?([eE][-+]?[0-9]+)?");
        }
        if (types.contains("boolean")) {
            return !Set.of("true", "false").contains(text);
        }
        return switch (of.path("format").asString("")) {
            case "date" -> !text.matches("[0-9]{4}-[0-9]{2}-[0-9]{2}") || text.equals("2026-02-30");
            case "date-time" -> !text.matches("[0-9]{4}-.*T.*");
            case "uuid" -> !text.matches("[0-9a-fA-F-]{36}");
            default ->
                of.has("maxLength") && text.length() > of.path("maxLength").asInt();
        };
    }

    private String value(String template, String part, boolean isSpoilt) {
        if (isSpoilt) {
            return bodies.awkwardText();
        }
        String name = part.replaceAll("[{}]", "");
        String key = switch (name) {
            case "code" -> template.contains("species") ? "speciesCode" : "layer";
            case "id" -> "";
            default -> name;
        };
        List<String> some = known.getOrDefault(key, List.of());
        if (!some.isEmpty()) {
            return some.get(random.nextInt(some.size()));
        }
        return switch (name) {
            case "fileId" -> new UUID(random.nextLong(), random.nextLong()).toString();
            case "day" -> String.format("2026-07-%02d", 1 + random.nextInt(28));
            // nobody's: a person who signs in is not changed under the others' feet
            default -> Integer.toString(1_000_000 + random.nextInt(1000));
        };
    }

    private static String flat(JsonNode value) {
        return value.isArray() && !value.isEmpty()
                ? value.get(0).asString("")
                : value.isNull() ? "" : value.isValueNode() ? value.asString("") : "{}";
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text.isEmpty() ? "-" : text, StandardCharsets.UTF_8)
                .replace("+", "%20");
    }

    private String garbage() {
        return switch (random.nextInt(6)) {
            case 0 -> "";
            case 1 -> "{";
            case 2 -> "[".repeat(2000);
            case 3 -> "null";
            case 4 -> "{\"a\":" + "9".repeat(400) + "}";
            default -> "\"\uD800\"";
        };
    }
}
