package org.kindgirdle.server.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.kindgirdle.server.harness.TestNursery.TODAY;
import static org.kindgirdle.server.harness.TestNursery.look;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

@ExtendWith(NurseryExtension.class)
class RoundTest {

    private final TestNursery nursery;

    RoundTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void what_is_urgent_is_on_the_round_at_its_place_in_walking_order() {
        List<String> inField = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(30), 2);
        List<String> inTunnel = nursery.set(nursery.mother("MORNIG", nursery.tunnel()), TODAY.minusDays(30), 1);
        nursery.record(inField.get(1), look("CALLUS", 0, "DRY")).expect(201);
        nursery.record(inTunnel.get(0), look("CALLUS", 0, "WRAP_OPEN")).expect(201);

        JsonNode round = nursery.grower().get("/api/v1/round").expect(200).body();
        assertThat(round.path("roundDay").asBoolean()).isTrue();
        assertThat(round.path("nextRoundOn").asString()).isEqualTo("2026-07-14");
        assertThat(round.path("places")
                        .valueStream()
                        .map(one -> one.path("place").asString()))
                .containsSubsequence("North field", "Low tunnel");
        assertThat(job(round, inField.get(1)).path("job").asString()).isEqualTo("REWET");
        assertThat(job(round, inTunnel.get(0)).path("label").asString()).isEqualTo("Wrap again");
    }

    @Test
    void the_number_of_statements_does_not_grow_with_the_layers() {
        String code = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(40), 1)
                .get(0);
        nursery.grower().get("/api/v1/round");
        long round = statements("/api/v1/round");
        long page = statements("/api/v1/layers/" + code);
        long list = statements("/api/v1/layers?limit=500");
        nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(40), 60);

        assertThat(statements("/api/v1/round")).isCloseTo(round, within(2L)).isLessThanOrEqualTo(12);
        assertThat(statements("/api/v1/layers/" + code))
                .isCloseTo(page, within(2L))
                .isLessThanOrEqualTo(14);
        assertThat(statements("/api/v1/layers?limit=500"))
                .isCloseTo(list, within(2L))
                .isLessThanOrEqualTo(9);
    }

    @Test
    void a_record_takes_a_bounded_number_of_statements_however_many_there_are_before_it() {
        String code = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(40), 1)
                .get(0);
        nursery.record(code, look("CALLUS", 0)).expect(201);
        for (int i = 1; i < 8; i++) {
            TestNursery.statements();
            nursery.record(code, look("CALLUS", i)).expect(201);
            // the session's own row is written behind the answer, and every fiftieth record fetches a span of ids
            assertThat(TestNursery.statements()).isBetween(17L, 25L);
        }
    }

    private long statements(String path) {
        TestNursery.statements();
        nursery.grower().get(path).expect(200);
        return TestNursery.statements();
    }

    private static JsonNode job(JsonNode round, String code) {
        return round.path("places")
                .valueStream()
                .flatMap(place -> place.path("jobs").valueStream())
                .filter(job -> job.path("code").asString().equals(code))
                .findFirst()
                .orElseThrow();
    }
}
