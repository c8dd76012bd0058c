package org.kindgirdle.server.harness;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.NullNode;

/** A browser without a screen: it keeps the cookies and sends the CSRF token back. */
public final class Client {

    private static final HttpClient HTTP = HttpClient.newHttpClient();
    private static final JsonMapper JSON = new JsonMapper();

    private final String base;
    private final boolean isHeld;
    private Map<String, String> cookies = new TreeMap<>();
    private boolean isDemo;
    private final Map<String, String> more = new TreeMap<>();

    /** One that holds every answer against the description of the API. */
    public Client(String base) {
        this(base, true);
    }

    private Client(String base, boolean isHeld) {
        this.base = base;
        this.isHeld = isHeld;
    }

    /** One that takes every answer as it comes: what is measured is not slowed by what is checked elsewhere. */
    public static Client measuring(String base) {
        return new Client(base, false);
    }

    /** What came back. */
    public record Answer(int status, JsonNode body, byte[] bytes, Map<String, List<String>> headers) {

        /** This answer, if it has the status. */
        public Answer expect(int wanted) {
            if (status != wanted) {
                throw new AssertionError("expected " + wanted + ", got " + status + ": " + body);
            }
            return this;
        }

        /** The fields that a refusal names. */
        public List<String> fields() {
            return body.path("violations")
                    .valueStream()
                    .map(one -> one.path("field").asString())
                    .toList();
        }
    }

    public Client signedInAs(String name, String password) {
        get("/api/v1/session").expect(200);
        send("POST", "/api/v1/session", null, json(Map.of("name", name, "password", password)), true)
                .expect(200);
        return this;
    }

    /** The password once more, as an owner is asked for it before what can shut others out. */
    public Client confirmed(String password) {
        post("/api/v1/me/confirmation", Map.of("password", password)).expect(204);
        return this;
    }

    /** Another browser in the same session: what is tried in it does not count as tried on the device that signed in. */
    public Client elsewhere() {
        Client there = at(base);
        there.cookies = new TreeMap<>(cookies);
        there.cookies.keySet().removeIf(name -> name.endsWith("_DEVICE"));
        return there;
    }

    /** The same browser at another address of this host: cookies do not know ports. */
    public Client at(String other) {
        Client there = new Client(other, isHeld);
        there.cookies = cookies;
        there.isDemo = isDemo;
        return there;
    }

    public Answer get(String path) {
        return send("GET", path, null, null, true);
    }

    public Answer post(String path, Object body) {
        return send("POST", path, UUID.randomUUID(), json(body), true);
    }

    public Answer post(String path, UUID commandId, Object body) {
        return send("POST", path, commandId, json(body), true);
    }

    /** As a newer page sends what an older one made. */
    public Answer postMadeBy(String page, String path, Object body) {
        more.put("Made-By-Page", page);
        try {
            return post(path, body);
        } finally {
            more.clear();
        }
    }

    public Answer put(String path, Object body) {
        return send("PUT", path, UUID.randomUUID(), json(body), true);
    }

    public Answer delete(String path) {
        return send("DELETE", path, null, null, true);
    }

    /** Bytes of a type, as a file is sent. */
    public Answer upload(String path, UUID commandId, String type, byte[] bytes) {
        return send("POST", path, commandId, type, bytes, true);
    }

    /** Bytes of a type, put where they belong. */
    public Answer putFile(String path, String type, byte[] bytes) {
        return send("PUT", path, null, type, bytes, true);
    }

    /** @param body as it goes over the wire; null for none */
    public Answer send(String method, String path, @Nullable UUID commandId, @Nullable String body, boolean withToken) {
        return send(
                method,
                path,
                commandId,
                "application/json",
                body == null ? null : body.getBytes(StandardCharsets.UTF_8),
                withToken);
    }

    private Answer send(
            String method,
            String path,
            @Nullable UUID commandId,
            String type,
            byte @Nullable [] body,
            boolean withToken) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofByteArray(body))
                .header("Accept", "application/json, */*");
        if (body != null) {
            request.header("Content-Type", type);
        }
        more.forEach(request::header);
        if (commandId != null) {
            request.header("Command-Id", commandId.toString());
        }
        if (!cookies.isEmpty()) {
            request.header(
                    "Cookie",
                    String.join(
                            "; ",
                            cookies.entrySet().stream()
                                    .map(one -> one.getKey() + "=" + one.getValue())
                                    .toList()));
        }
        if (withToken) {
            // the demo's has another name than a nursery's
            token().ifPresent(value -> request.header("X-XSRF-TOKEN", value));
        }
        try {
            HttpResponse<byte[]> response = HTTP.send(request.build(), BodyHandlers.ofByteArray());
            response.headers().allValues("set-cookie").forEach(this::keep);
            if (isHeld) {
                Contract.hold(
                        method,
                        path,
                        response.statusCode(),
                        response.headers().firstValue("content-type"),
                        response.body());
            }
            String text = new String(response.body(), StandardCharsets.UTF_8);
            boolean isJson = response.headers()
                    .firstValue("content-type")
                    .map(sent -> sent.contains("json"))
                    .orElse(false);
            return new Answer(
                    response.statusCode(),
                    isJson && !text.isEmpty() ? JSON.readTree(text) : NullNode.getInstance(),
                    response.body(),
                    response.headers().map());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    public static String json(Object body) {
        return body instanceof String text ? text : JSON.writeValueAsString(body);
    }

    private Optional<String> token() {
        return Optional.ofNullable(cookies.get(isDemo ? "DEMO-XSRF-TOKEN" : "XSRF-TOKEN"));
    }

    private void keep(String header) {
        isDemo |= header.startsWith("DEMO-XSRF-TOKEN=");
        String pair = header.split(";", 2)[0];
        int at = pair.indexOf('=');
        String value = pair.substring(at + 1);
        if (value.isEmpty()) {
            cookies.remove(pair.substring(0, at));
        } else {
            cookies.put(pair.substring(0, at), value);
        }
    }
}
