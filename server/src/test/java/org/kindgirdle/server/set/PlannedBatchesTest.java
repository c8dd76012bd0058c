package org.kindgirdle.server.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

@ExtendWith(NurseryExtension.class)
class PlannedBatchesTest {

    private static final LocalDate DAY = TODAY.plusDays(4);

    private final TestNursery nursery;
    private final long mother;

    PlannedBatchesTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    @BeforeEach
    void nothingIsPlanned() {
        nursery.sql().update("update planned_batch set dropped = true");
    }

    @Test
    void the_list_of_a_day_adds_up_over_its_batches() {
        JsonNode three = plan(mother, DAY, 3);
        JsonNode two = plan(nursery.mother("CYDOBL", nursery.tunnel()), DAY, 2);
        plan(mother, DAY.plusDays(1), 7);
        JsonNode list = list();
        assertThat(list.path("batches")).hasSize(2);
        assertThat(list.at("/batches/0/mother")).isEqualTo(three.path("mother"));
        assertThat(list.at("/batches/1/mother")).isEqualTo(two.path("mother"));
        assertThat(list.path("layers").asInt()).isEqualTo(5);
        assertThat(list.path("labels").asInt()).isEqualTo(5);
        assertThat(list.path("ties").asInt()).isEqualTo(10);
        assertThat(list.at("/hormones/0/ppm").asDouble()).isEqualTo(3000);
        assertThat(list.at("/hormones/0/ml").asDouble()).isCloseTo(2.5, within(1e-9));
        JsonNode row = nursery.grower()
                .post("/api/v1/set-previews", nursery.batch(mother, TODAY, 1))
                .body()
                .at("/rows/0/ball");
        assertThat(list.at("/ingredients/0/name").asString()).isEqualTo("Moss");
        assertThat(list.at("/ingredients/0/wetL").asDouble())
                .isCloseTo(5 * 1.15 * row.path("mediumMl").asDouble() / 1000, within(1e-9));
        assertThat(list.path("filmCm2").asDouble())
                .isCloseTo(5 * row.path("filmCm2").asDouble(), within(1e-6));
        assertThat(list.path("minutes").asDouble()).isEqualTo(20);
    }

    @Test
    void a_planned_batch_that_is_set_is_off_the_list_and_setting_it_again_is_warned_of() {
        JsonNode planned = plan(mother, DAY, 2);
        Map<String, Object> batch = new HashMap<>(nursery.batch(mother, TODAY, 2));
        batch.put("plannedId", planned.path("id").asLong());
        nursery.grower().post("/api/v1/batches", batch).expect(201);
        assertThat(list().path("batches")).isEmpty();
        assertThat(nursery.grower()
                        .post("/api/v1/set-previews", batch)
                        .expect(200)
                        .body()
                        .path("remarks")
                        .toString())
                .containsPattern(Said.by("bench.planned-done"));
        nursery.grower()
                .post("/api/v1/planned-batches/" + planned.path("id").asLong() + "/dropping", Map.of("version", 0))
                .expect(409);
    }

    @Test
    void a_day_that_is_past_is_refused_and_a_plan_is_dropped_once() {
        Map<String, Object> past = Map.of("day", TODAY.minusDays(1).toString(), "batch", body(mother, 1));
        assertThat(nursery.grower()
                        .post("/api/v1/planned-batches", past)
                        .expect(400)
                        .fields())
                .containsExactly("day");
        JsonNode planned = plan(mother, DAY, 1);
        String path = "/api/v1/planned-batches/" + planned.path("id").asLong() + "/dropping";
        nursery.grower().post(path, Map.of("version", 0)).expect(200);
        nursery.grower().post(path, Map.of("version", 0)).expect(409);
        assertThat(nursery.viewer().get("/api/v1/planned-batches").expect(200).body())
                .isEmpty();
        nursery.viewer()
                .post("/api/v1/planned-batches", Map.of("day", DAY.toString(), "batch", body(mother, 1)))
                .expect(403);
    }

    @Test
    void what_was_planned_comes_back_as_it_was_typed() {
        JsonNode planned = plan(mother, DAY, 2);
        JsonNode back = nursery.grower().get("/api/v1/planned-batches").body().path(0);
        assertThat(back.at("/batch/rows")).hasSize(2);
        assertThat(back.at("/batch/rows/0/diameterMm").asDouble()).isEqualTo(18);
        assertThat(back.at("/batch/reason").isNull()).isTrue();
        assertThat(back.path("id")).isEqualTo(planned.path("id"));
        assertThat(back.path("isLate").asBoolean()).isFalse();
    }

    private JsonNode plan(long on, LocalDate day, int count) {
        return nursery.grower()
                .post("/api/v1/planned-batches", Map.of("day", day.toString(), "batch", body(on, count)))
                .expect(201)
                .body();
    }

    private Map<String, Object> body(long on, int count) {
        return nursery.batch(on, TODAY, count);
    }

    private JsonNode list() {
        return nursery.viewer().get("/api/v1/shopping-lists/" + DAY).expect(200).body();
    }
}
