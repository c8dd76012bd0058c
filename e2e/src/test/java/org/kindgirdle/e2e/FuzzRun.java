package org.kindgirdle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.Project;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.server.fuzz.Fuzz;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.http.Roles.Rank;
import tools.jackson.databind.json.JsonMapper;

/** {@code ./kg fuzz}: thousands of made-up requests, to a demo of its own or to one that runs on this machine. */
class FuzzRun {

    private static final Map<Rank, String> NAMES = Map.of(Rank.OWNER, "maren", Rank.GROWER, "ivo", Rank.VIEWER, "pell");

    @Test
    void run() {
        String url = System.getProperty("fuzz.url", "");
        if (url.isEmpty()) {
            try (RunningApplication application = RunningApplication.demo()) {
                run(application.base());
            }
        } else {
            run(Fuzz.local(url));
        }
    }

    private static void run(String base) {
        long seed = Long.getLong("fuzz.seed", 1);
        int count = Integer.getInteger("fuzz.count", 20_000);
        Map<Rank, Supplier<Client>> people = new EnumMap<>(Rank.class);
        for (Rank rank : Rank.values()) {
            people.put(rank, signIn(base, NAMES.get(rank)));
        }
        Fuzz.Result result = new Fuzz(
                        new JsonMapper().readTree(Project.ROOT.resolve(Path.of("docs/openapi.json"))), seed, people)
                .run(count);
        System.out.println("seed " + seed + ": " + result.sent() + " requests to " + base + "; answers by status "
                + result.statuses() + "; " + result.failures().size() + " that must never happen");
        result.failures().forEach(failure -> System.out.println("  " + failure));
        assertThat(result.failures()).isEmpty();
        assertThat(result.sent()).isEqualTo(count);
    }

    /**
     * People sign in again where a made-up request ended their session, at a device of their own: the many made-up
     * sign-ins from this machine are a stranger's and do not keep them out.
     */
    private static Supplier<Client> signIn(String base, @Nullable String name) {
        if (name == null) {
            return () -> {
                Client stranger = new Client(base);
                stranger.get("/api/v1/session").expect(200);
                return stranger;
            };
        }
        Client own = new Client(base);
        return () -> own.signedInAs(name, Visit.PASSWORD).elsewhere();
    }
}
