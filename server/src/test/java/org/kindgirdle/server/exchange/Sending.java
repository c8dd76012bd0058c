package org.kindgirdle.server.exchange;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

/** Sends files as the page of imports does. */
final class Sending {

    private static final Duration PATIENCE = Duration.ofMinutes(2);

    private final Client client;

    Sending(Client client) {
        this.client = client;
    }

    /** What comes of something while another connection holds rows. */
    static <T> T whileHeld(TestNursery nursery, List<String> holding, Supplier<T> something) {
        try (Connection other = nursery.bean(DataSource.class).getConnection();
                Statement statement = other.createStatement()) {
            other.setAutoCommit(false);
            try {
                for (String rows : holding) {
                    statement.execute(rows);
                }
                return something.get();
            } finally {
                other.rollback();
                other.setAutoCommit(true);
            }
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    String table(String name) {
        return new String(client.get("/api/v1/tables/" + name).expect(200).bytes(), StandardCharsets.UTF_8);
    }

    byte[] nurseryFile() {
        return client.get("/api/v1/nursery-file").expect(200).bytes();
    }

    UUID csv(String text) {
        return csv(text, StandardCharsets.UTF_8);
    }

    UUID csv(String text, Charset charset) {
        UUID id = UUID.randomUUID();
        client.putFile("/api/v1/imports/" + id + "?name=old.csv", "text/csv", text.getBytes(charset))
                .expect(201);
        return id;
    }

    UUID nursery(byte[] file) {
        UUID id = UUID.randomUUID();
        client.putFile("/api/v1/imports/" + id + "?name=nursery.json", "application/json", file)
                .expect(201);
        return id;
    }

    JsonNode view(UUID id) {
        return client.get("/api/v1/imports/" + id).expect(200).body();
    }

    /** How a table's own file is read. */
    JsonNode suggested(UUID id, String table) {
        return client.post("/api/v1/imports/" + id + "/suggestions", Map.of("table", table))
                .expect(200)
                .body();
    }

    JsonNode look(UUID id, @Nullable Object mapping) {
        return work(id, "looks", mapping, "");
    }

    JsonNode take(UUID id, @Nullable Object mapping) {
        return work(id, "takings", mapping, "");
    }

    JsonNode take(UUID id, @Nullable Object mapping, String nursery) {
        return work(id, "takings", mapping, nursery);
    }

    private JsonNode work(UUID id, String what, @Nullable Object mapping, String nursery) {
        Map<String, Object> how = new HashMap<>();
        if (mapping != null) {
            how.put("mapping", mapping);
        }
        if (!nursery.isEmpty()) {
            how.put("nursery", nursery);
        }
        if (what.equals("takings")) {
            client.confirmed(TestNursery.PASSWORD);
        }
        client.post("/api/v1/imports/" + id + "/" + what, how).expect(202);
        return over(id);
    }

    /** Waits until nothing is at work on it. */
    JsonNode over(UUID id) {
        long until = System.nanoTime() + PATIENCE.toNanos();
        JsonNode view = view(id);
        while (view.path("state").asString().matches("LOOKING|TAKING")) {
            if (System.nanoTime() > until) {
                throw new AssertionError("not over: " + view);
            }
            Thread.onSpinWait();
            view = view(id);
        }
        return view;
    }
}
