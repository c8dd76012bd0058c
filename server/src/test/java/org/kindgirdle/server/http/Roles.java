package org.kindgirdle.server.http;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;

/** Which role may call which operation, as it was written down by hand: never made from the code that is tested. */
public final class Roles {

    /** From the one that may least. */
    public enum Rank {
        ANYONE,
        VIEWER,
        GROWER,
        OWNER
    }

    private Roles() {}

    /** By "METHOD /path". */
    public static Map<String, Rank> least() {
        Map<String, Rank> least = new LinkedHashMap<>();
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(Roles.class.getResourceAsStream("/roles.csv")), StandardCharsets.UTF_8))) {
            in.lines().filter(line -> !line.startsWith("#")).forEach(line -> {
                String[] cells = line.split(",");
                least.put(cells[0], Rank.valueOf(cells[1]));
            });
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return least;
    }
}
