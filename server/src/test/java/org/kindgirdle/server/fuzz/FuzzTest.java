package org.kindgirdle.server.fuzz;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.http.Roles.Rank;
import tools.jackson.databind.json.JsonMapper;

/** A short part of what {@code ./kg fuzz} does at length. */
class FuzzTest {

    private static final int COUNT = Integer.getInteger("fuzz.count", 1500);
    private static final long SEED = Long.getLong("fuzz.seed", 19);

    @Test
    void whatever_is_sent_is_answered_in_words_and_taken_only_as_it_is_described() {
        try (TestNursery nursery = TestNursery.ofItsOwn()) {
            nursery.set(nursery.mother("CYDOBL", nursery.field()), TestNursery.TODAY.minusDays(30), 5);
            Fuzz.Result result = new Fuzz(
                            new JsonMapper().readTree(Path.of("../docs/openapi.json")),
                            SEED,
                            Map.of(
                                    Rank.ANYONE,
                                            () -> {
                                                var stranger = nursery.anonymous();
                                                stranger.get("/api/v1/session");
                                                return stranger;
                                            },
                                    Rank.VIEWER, () -> nursery.again("vesper"),
                                    Rank.GROWER, () -> nursery.again("gale"),
                                    Rank.OWNER, () -> nursery.again("odile")))
                    .run(COUNT);
            assertThat(result.failures()).isEmpty();
            assertThat(result.sent()).isEqualTo(COUNT);
            // it gets somewhere: not all of it is refused at the door
            assertThat(result.statuses()).containsKeys("200", "201", "400", "403");
        }
    }

    @Test
    void only_what_runs_on_this_machine_is_tried() {
        assertThatThrownBy(() -> Fuzz.local("http://192.168.1.7:8080/")).hasMessageContaining("not on this machine");
        assertThat(Fuzz.local("http://127.0.0.1:8090/")).isEqualTo("http://127.0.0.1:8090");
    }
}
