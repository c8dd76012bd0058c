package org.kindgirdle.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A mother's history, and what can happen to it beside an edit: nothing that was taken from it is lost. */
@ExtendWith(NurseryExtension.class)
class MotherChangesTest {

    private final TestNursery nursery;
    private final long mother;

    MotherChangesTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    @Test
    void what_was_taken_is_counted_by_year_and_every_change_is_in_the_history() {
        nursery.set(mother, TODAY.minusDays(300), 2);
        List<String> now = nursery.set(mother, TODAY, 3);
        nursery.record(now.get(0), Map.of("kind", "LOST", "details", Map.of("cause", "BROKE")))
                .expect(201);
        edit("leafyShoots", 48);
        JsonNode page = page();
        assertThat(page.at("/taken/0/year").asInt()).isEqualTo(2026);
        assertThat(page.at("/taken/0/set").asInt()).isEqualTo(3);
        assertThat(page.at("/taken/0/lost").asInt()).isEqualTo(1);
        assertThat(page.at("/taken/1/year").asInt()).isEqualTo(2025);
        assertThat(page.at("/taken/1/onMother").asInt()).isEqualTo(2);
        assertThat(page.at("/history/0/kind").asString()).isEqualTo("EDITED");
        assertThat(page.at("/history/0/by").asString()).isEqualTo("Gale Fernhollow");
        assertThat(page.at("/history/0/changes/0/field").asString()).isEqualTo("leafyShoots");
        assertThat(page.at("/history/0/changes/0/was").asString()).isEqualTo("60");
        assertThat(page.at("/history/0/changes/0/now").asString()).isEqualTo("48");
        assertThat(page.at("/history/1/kind").asString()).isEqualTo("ADDED");
    }

    @Test
    void a_retired_mother_takes_no_more_layers_and_keeps_those_it_has() {
        String code = nursery.set(mother, TODAY, 1).get(0);
        change("retirement", Map.of("on", TODAY.toString(), "reason", "canker", "version", version()))
                .expect(200);
        assertThat(set(nursery.batch(mother, TODAY, 1)).expect(400).body().toString())
                .containsPattern(Said.by("plan.BLOCK.RETIRED", "on", "10 July"));
        assertThat(line().path("why").asString()).matches(Said.by("room.retired", "on", "10 July"));
        assertThat(nursery.grower()
                        .get("/api/v1/layers/" + code)
                        .expect(200)
                        .body()
                        .path("phase")
                        .asString())
                .isEqualTo("ON_MOTHER");
        change("retirement", Map.of("on", TODAY.toString(), "reason", "again", "version", version()))
                .expect(400);
        change("return", Map.of("reason", "grew out of it", "version", version()))
                .expect(200);
        set(nursery.batch(mother, TODAY, 1)).expect(201);
        assertThat(page().at("/history")
                        .valueStream()
                        .map(one -> one.path("kind").asString()))
                .containsExactly("RETURNED", "RETIRED", "ADDED");
        change("retirement", Map.of("on", TODAY.plusDays(1).toString(), "reason", "soon", "version", version()))
                .expect(400);
    }

    @Test
    void a_mother_that_turns_out_to_be_another_variety_is_relabelled_with_its_layers() {
        String code = nursery.set(mother, TODAY, 1).get(0);
        JsonNode before = nursery.grower().get("/api/v1/layers/" + code).body();
        ObjectNode typed = (ObjectNode) page().at("/line/mother").deepCopy();
        assertThat(nursery.grower()
                        .put("/api/v1/mothers/" + mother, typed.put("variety", "Quern Pear"))
                        .expect(400)
                        .fields())
                .containsExactly("variety");
        change(
                        "relabelling",
                        Map.of(
                                "speciesCode", "MORNIG",
                                "variety", "Quern Black",
                                "reason", "it fruited",
                                "version", version()))
                .expect(200);
        JsonNode after = nursery.grower().get("/api/v1/layers/" + code).body();
        assertThat(after.at("/mother/variety").asString()).isEqualTo("Quern Black");
        assertThat(after.at("/mother/formerLabels/0/label").asString()).isEqualTo("quince Quern Gold");
        assertThat(before.at("/mother/formerLabels")).isEmpty();
        assertThat(after.at("/species/code").asString()).isEqualTo("MORNIG");
        assertThat(after.at("/forecast/q50")).isNotEqualTo(before.at("/forecast/q50"));
        assertThat(page().at("/history/0/kind").asString()).isEqualTo("RELABELLED");
        assertThat(page().at("/history/0/reason").asString()).isEqualTo("it fruited");
        assertThat(page().at("/history/0/changes")
                        .valueStream()
                        .map(one -> one.path("was").asString()))
                .containsExactly("quince", "Quern Gold");
        change(
                        "relabelling",
                        Map.of(
                                "speciesCode", "MORNIG",
                                "variety", "Quern Black",
                                "reason", "it fruited",
                                "version", version()))
                .expect(400);
    }

    @Test
    void two_records_of_one_plant_become_one_with_all_limbs_and_layers() {
        long twin = nursery.mother("CYDOBL", nursery.field());
        String twinCode = nursery.grower()
                .get("/api/v1/mothers/" + twin)
                .body()
                .path("code")
                .asString();
        String code = line().at("/mother/code").asString();
        limb("Leader", 15, "ONE_TWO", 15, 40);
        String layer = codes(
                        set(onLimb(page().at("/limbs/0/limb/id").asLong(), 300)).expect(201))
                .get(0);
        nursery.grower()
                .post("/api/v1/mothers/" + twin + "/limbs", TestNursery.limbBody(twin, "Leader", 12, "SOFT", 5, 12))
                .expect(201);
        nursery.set(twin, TODAY, 2);

        change("merger", Map.of("into", twin, "reason", "two tags on one plant", "version", version()))
                .expect(200);
        JsonNode into = nursery.grower().get("/api/v1/stock/" + twin).body();
        assertThat(into.at("/line/underRings").asInt()).isEqualTo(3);
        assertThat(into.at("/taken/0/set").asInt()).isEqualTo(3);
        assertThat(into.path("limbs")
                        .valueStream()
                        .map(one -> one.at("/limb/name").asString()))
                .containsExactlyInAnyOrder("Leader", "Leader (" + code + ")");
        JsonNode page = nursery.grower().get("/api/v1/layers/" + layer).body();
        assertThat(page.at("/mother/code").asString()).isEqualTo(twinCode);
        assertThat(page.at("/mother/setAs").asString()).isEqualTo(code);
        assertThat(page().path("mergedInto").asString()).isEqualTo(twinCode);
        assertThat(page().path("taken")).isEmpty();
        assertThat(page().at("/history/0/kind").asString()).isEqualTo("MERGED");
        assertThat(into.at("/history/0/kind").asString()).isEqualTo("TOOK_IN");
        change("return", Map.of("reason", "no, two plants", "version", version()))
                .expect(400);
    }

    @Test
    void plants_of_two_species_are_not_merged_and_nothing_is_written() {
        long mulberry = nursery.mother("MORNIG", nursery.field());
        assertThat(change("merger", Map.of("into", mulberry, "reason", "why not", "version", version()))
                        .expect(400)
                        .body()
                        .toString())
                .containsPattern(Said.by("mother.otherSpecies"));
        change("merger", Map.of("into", mother, "reason", "itself", "version", version()))
                .expect(400);
        change("merger", Map.of("into", 999_999, "reason", "nobody", "version", version()))
                .expect(400);
        change("relabelling", Map.of("speciesCode", "NONE", "variety", "", "reason", "x", "version", version()))
                .expect(400);
        change("retirement", Map.of("on", TODAY.toString(), "reason", "", "version", version()))
                .expect(400);
        change("retirement", Map.of("on", TODAY.toString(), "reason", "old", "version", version() + 1))
                .expect(409);
        assertThat(page().path("history")).hasSize(1);
    }

    private JsonNode page() {
        return nursery.grower().get("/api/v1/stock/" + mother).expect(200).body();
    }

    private JsonNode line() {
        return page().path("line");
    }

    private long version() {
        return line().at("/mother/version").asLong();
    }

    private void edit(String field, Object value) {
        ObjectNode mother = (ObjectNode) page().at("/line/mother").deepCopy();
        mother.putPOJO(field, value);
        nursery.grower().put("/api/v1/mothers/" + this.mother, mother).expect(200);
    }

    private Client.Answer change(String what, Map<String, Object> body) {
        return nursery.grower().post("/api/v1/mothers/" + mother + "/" + what, body);
    }

    private Client.Answer set(Map<String, Object> batch) {
        return nursery.grower().post("/api/v1/batches", batch);
    }

    private Map<String, Object> onLimb(long limb, double... fromUnionMm) {
        return nursery.onLimb(mother, limb, fromUnionMm);
    }

    private static List<String> codes(Client.Answer answer) {
        return answer.body()
                .path("codes")
                .valueStream()
                .map(code -> code.asString())
                .toList();
    }

    private long limb(String name, double mm, String wood, double lean, int leaves) {
        return nursery.limb(mother, name, mm, wood, lean, leaves);
    }
}
