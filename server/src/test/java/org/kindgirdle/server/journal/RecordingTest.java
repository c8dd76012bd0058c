package org.kindgirdle.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.kindgirdle.server.harness.TestNursery.TODAY;
import static org.kindgirdle.server.harness.TestNursery.look;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.projection.Rebuild;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(NurseryExtension.class)
class RecordingTest {

    private final TestNursery nursery;
    private final String code;
    private final String path;

    RecordingTest(TestNursery nursery) {
        this.nursery = nursery;
        this.code = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(50), 1)
                .get(0);
        this.path = "/api/v1/layers/" + code + "/records";
    }

    @Test
    void the_same_record_sent_twice_makes_one_row_and_the_same_answer() {
        UUID id = UUID.randomUUID();
        Client.Answer first = nursery.grower().post(path, id, look("CALLUS", 0)).expect(201);
        Client.Answer again = nursery.grower().post(path, id, look("CALLUS", 0)).expect(201);

        assertThat(again.body()).isEqualTo(first.body());
        assertThat(rows()).isEqualTo(2);
        assertThat(first.body().at("/recorded/revision").asInt()).isEqualTo(2);
    }

    @Test
    void the_same_uuid_with_another_body_is_refused() {
        UUID id = UUID.randomUUID();
        nursery.grower().post(path, id, look("CALLUS", 0)).expect(201);
        Client.Answer other =
                nursery.grower().post(path, id, look("INITIALS", 5)).expect(409);

        assertThat(other.body().path("detail").asString()).isEqualTo(Refusals.say("command.uuid", "id", id));
        assertThat(rows()).isEqualTo(2);
    }

    @Test
    void a_repeat_at_the_same_moment_is_written_once() throws Exception {
        UUID id = UUID.randomUUID();
        List<Client.Answer> answers = atOnce(
                6, n -> nursery.grower().post(path, id, look("CALLUS", 0)).expect(201));

        assertThat(answers)
                .allSatisfy(answer -> assertThat(answer.body().path("recorded"))
                        .isEqualTo(answers.get(0).body().path("recorded")));
        assertThat(rows()).isEqualTo(2);
    }

    @Test
    void records_of_several_people_at_the_same_moment_all_count() throws Exception {
        // other tests have taken weather away by hand, which no layer was told of
        nursery.bean(Rebuild.class).run();
        atOnce(8, n -> nursery.grower().post(path, look("CALLUS", n)).expect(201));

        assertThat(rows()).isEqualTo(9);
        assertThat(page().path("revision").asInt()).isEqualTo(9);
        assertThat(nursery.bean(Rebuild.class).run().toString()).endsWith(" 0 rows changed.");
    }

    @Test
    void a_record_while_the_profile_changes_is_reckoned_from_the_new_one() throws Exception {
        JsonNode quince = nursery.owner().get("/api/v1/species/CYDOBL").body();
        ((ObjectNode) quince.path("profile")).put("d50ThermalDays", 44);
        atOnce(
                6,
                n -> n == 0
                        ? nursery.owner().put("/api/v1/species/CYDOBL", quince).expect(200)
                        : nursery.grower().post(path, look("CALLUS", n)).expect(201));

        assertThat(nursery.bean(Rebuild.class).run().toString()).endsWith(" 0 rows changed.");
    }

    @Test
    void a_look_changes_the_next_step_and_taking_it_back_brings_the_old_one() {
        String before = page().at("/advice/headline").asString();
        UUID id = UUID.randomUUID();
        nursery.grower().post(path, id, look("ROOTED", 60, "DRY")).expect(201);
        assertThat(page().at("/advice/step").asString()).isEqualTo("REWET");

        nursery.record(code, Map.of("kind", "WITHDRAWN", "corrects", id, "details", Map.of()))
                .expect(201);
        assertThat(page().at("/advice/headline").asString()).isEqualTo(before);
        assertThat(page().path("records")
                        .valueStream()
                        .map(one -> one.path("inForce").asBoolean()))
                .containsExactly(true, false, true);
    }

    @Test
    void a_record_that_others_build_on_names_them_before_it_is_taken_back() {
        UUID severing = UUID.randomUUID();
        nursery.grower()
                .post(path, severing, Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 9, "leavesLeft", 5)))
                .expect(201);
        nursery.record(code, Map.of("kind", "POTTED", "details", Map.of("medium", "LIGHT_MIX", "potMl", "3 L")))
                .expect(201);

        Client.Answer refused = nursery.record(
                        code, Map.of("kind", "WITHDRAWN", "corrects", severing, "details", Map.of()))
                .expect(409);
        assertThat(refused.body().path("buildOnIt").get(0).asString()).isEqualTo("POTTED of 2026-07-10");
        assertThat(page().path("phase").asString()).isEqualTo("POTTED");
    }

    @Test
    void a_late_record_from_before_the_severance_is_taken_in_and_one_from_after_it_is_kept_as_a_conflict() {
        nursery.record(code, Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 9, "leavesLeft", 5)))
                .expect(201);
        Client.Answer early = nursery.record(code, at("2026-07-08T09:00:00Z", look("FILLED", 100)))
                .expect(201);
        Client.Answer late = nursery.record(code, look("MATURE", 100)).expect(201);

        assertThat(early.body().at("/recorded/conflict").isNull()).isTrue();
        assertThat(late.body().at("/recorded/conflict").asString()).isEqualTo("NO_LONGER_ON_MOTHER");
        assertThat(page().path("phase").asString()).isEqualTo("SEVERED");
        assertThat(page().path("records").size()).isEqualTo(4);
    }

    @Test
    void a_record_keeps_the_verdict_that_was_given_with_its_inputs_and_versions() {
        JsonNode verdict =
                nursery.record(code, look("INITIALS", 10)).expect(201).body().at("/layer/records/0/verdict");
        assertThat(verdict.path("step").asString()).isEqualTo("WAIT");
        assertThat(verdict.at("/facts/STAGE").asString()).isEqualTo("INITIALS");
        assertThat(verdict.path("recipeNumber").asInt()).isEqualTo(1);
        assertThat(verdict.path("profileNumber").asInt()).isPositive();
    }

    @Test
    void the_journal_can_not_be_changed_or_deleted_from_not_even_by_hand() {
        assertThatThrownBy(() -> nursery.sql().update("update layer_event set note = 'x'"))
                .hasMessageContaining("append-only");
        assertThatThrownBy(() -> nursery.sql().update("delete from layer_event"))
                .hasMessageContaining("append-only");
    }

    @Test
    void rebuilding_changes_nothing_and_mends_what_was_spoilt_by_hand() {
        nursery.bean(Rebuild.class).run();
        nursery.record(code, look("ROOTED", 50)).expect(201);
        assertThat(nursery.bean(Rebuild.class).run().toString()).endsWith(" 0 rows changed.");

        nursery.sql().update("update layer set stage = 'NONE', job = 'RESCUE', ready50_on = null where code = ?", code);
        assertThat(nursery.bean(Rebuild.class).run().toString()).endsWith(" 1 rows changed.");
        Map<String, Object> row = nursery.sql().queryForMap("select * from layer where code = ?", code);
        assertThat(row).containsEntry("stage", "ROOTED").containsEntry("job", "TOP_UP");
        assertThat(row.get("ready50_on")).isNotNull();
    }

    private static Map<String, Object> at(String instant, Map<String, Object> record) {
        return Map.of("kind", record.get("kind"), "details", record.get("details"), "occurredAt", instant);
    }

    private JsonNode page() {
        return nursery.grower().get("/api/v1/layers/" + code).expect(200).body();
    }

    private int rows() {
        Integer count = nursery.sql()
                .queryForObject(
                        "select count(*) from layer_event e join layer l on l.id = e.layer_id where l.code = ?",
                        Integer.class,
                        code);
        return count == null ? 0 : count;
    }

    private interface Deed {
        Client.Answer run(int n);
    }

    private static List<Client.Answer> atOnce(int times, Deed deed) throws Exception {
        ExecutorService threads = Executors.newFixedThreadPool(times);
        try {
            List<Callable<Client.Answer>> all = IntStream.range(0, times)
                    .mapToObj(n -> (Callable<Client.Answer>) () -> deed.run(n))
                    .toList();
            List<Client.Answer> answers = new ArrayList<>();
            for (Future<Client.Answer> one : threads.invokeAll(all)) {
                answers.add(one.get());
            }
            return answers;
        } finally {
            threads.shutdown();
        }
    }
}
