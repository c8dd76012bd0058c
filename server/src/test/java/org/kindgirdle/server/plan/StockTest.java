package org.kindgirdle.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(NurseryExtension.class)
class StockTest {

    private final TestNursery nursery;
    private final long mother;

    StockTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    @Test
    void a_third_of_the_shoots_may_stand_under_rings_and_half_of_a_plant_that_is_to_be_cut_down() {
        nursery.set(mother, TODAY, 5);
        assertThat(line().path("room").asInt()).isEqualTo(15);
        assertThat(line().path("why").asString())
                .isEqualTo("Room for 15 more: 5 of 60 leafy shoots stand under rings, 20 may.");
        edit("toBeCutDown", true);
        assertThat(line().path("room").asInt()).isEqualTo(25);
        edit("leafyShoots", 9);
        assertThat(line().path("why").asString())
                .isEqualTo("No room: 5 of 9 leafy shoots stand under rings, 4 is the most it can spare.");
        edit("leafyShoots", 1);
        assertThat(line().path("why").asString()).contains("can spare none");
        edit("sick", true);
        assertThat(line().path("room").asInt()).isZero();
        assertThat(line().path("why").asString()).startsWith("Sick");
    }

    @Test
    void a_protected_variety_may_be_cloned_with_a_permission_that_says_what_it_is() {
        edit("rights", "PROTECTED");
        assertThat(keys(page().path("remarks"))).contains("RIGHTS");
        assertThat(set(nursery.batch(mother, TODAY, 1)).expect(400).body().toString())
                .contains("no permission on record");

        ObjectNode mother = (ObjectNode) page().at("/line/mother").deepCopy();
        mother.put("rights", "PERMITTED");
        assertThat(nursery.grower()
                        .put("/api/v1/mothers/" + this.mother, mother)
                        .expect(400)
                        .fields())
                .containsExactly("permission");
        mother.put("permission", "Letter of the breeder, 4 May 2026");
        nursery.grower().put("/api/v1/mothers/" + this.mother, mother).expect(200);
        assertThat(keys(page().path("remarks"))).doesNotContain("RIGHTS");
        set(nursery.batch(this.mother, TODAY, 1)).expect(201);
    }

    @Test
    void limbs_are_scored_line_by_line_with_the_best_first() {
        limb("Low sweep", 42, "OLDER", 80, 2);
        limb("Leader", 15, "ONE_TWO", 15, 40);
        limb("Fork", 15, "THREE_FOUR", 15, 40);
        JsonNode limbs = page().path("limbs");
        assertThat(limbs.valueStream().map(one -> one.at("/limb/name").asString()))
                .containsExactly("Leader", "Fork", "Low sweep");
        assertThat(limbs.at("/0/advice").asString()).isEqualTo("Take this one: room for 4 more.");
        assertThat(limbs.at("/0/lines")
                        .valueStream()
                        .map(line -> line.path("sentence").asString()))
                .containsExactly(
                        "One or two years old: roots soonest",
                        "15 mm: between pencil and thumb",
                        "Upright (15°): roots all round",
                        "A mother of normal vigour",
                        "40 leaves or buds on it",
                        "Would otherwise stay");
        assertThat(limbs.at("/0/points").asInt()).isEqualTo(10);
        assertThat(limbs.at("/1/advice").asString()).startsWith("Good too");
        assertThat(limbs.at("/2/suitable").asBoolean()).isFalse();

        // no limb has more room than its mother
        edit("leafyShoots", 6);
        assertThat(page().at("/limbs/0/more").asInt()).isEqualTo(2);
        edit("sick", true);
        assertThat(page().at("/limbs/0/more").asInt()).isZero();
        assertThat(page().at("/limbs/0/advice").asString()).contains("the mother can spare no more");
    }

    @Test
    void a_limb_shows_its_balls_from_the_tip_and_where_another_may_stand() {
        long limb = limb("Leader", 15, "ONE_TWO", 15, 40);
        List<String> codes = codes(set(onLimb(limb, 300, 700)).expect(201));
        JsonNode stand = page().at("/limbs/0");
        // 15 mm, and quince bridges readily: a ring of 28.1 mm, a ball of 78.1
        assertThat(stand.path("ballMm").asDouble()).isEqualTo(78.125);
        assertThat(stand.at("/balls/0/code").asString()).isEqualTo(codes.get(1));
        assertThat(stand.at("/balls/0/number").asInt()).isEqualTo(1);
        assertThat(stand.at("/balls/0/fromTipMm").asDouble()).isEqualTo(1200 - 700 - 78.125);
        assertThat(stand.at("/balls/1/code").asString()).isEqualTo(codes.get(0));
        // four leaves from the tip, and 200 mm above the first ball
        assertThat(stand.at("/free/0/fromTipMm").asDouble()).isEqualTo(120);
        assertThat(stand.at("/free/0/toTipMm").asDouble()).isEqualTo(1200 - 700 - 2 * 78.125 - 200);
        assertThat(stand.at("/spots/0").asDouble()).isEqualTo(1200 - 120 - 78.125);
        assertThat(stand.path("spots")).hasSize(stand.path("more").asInt());
        assertThat(stand.path("ever").asInt()).isEqualTo(2);
        assertThat(nursery.grower()
                        .get("/api/v1/layers/" + codes.get(0))
                        .body()
                        .at("/mother/limb")
                        .asString())
                .isEqualTo("Leader");
        assertThat(page().path("withoutLimb").asInt()).isZero();
    }

    @Test
    void what_is_severed_takes_the_limb_beyond_it_along_until_it_is_measured_again() {
        long limb = limb("Leader", 15, "ONE_TWO", 15, 40);
        String code = codes(set(onLimb(limb, 620)).expect(201)).get(0);
        nursery.record(code, Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 9, "leavesLeft", 4)))
                .expect(201);
        JsonNode stand = page().at("/limbs/0");
        assertThat(stand.path("lengthMm").asDouble()).isEqualTo(600);
        assertThat(stand.path("leaves").asInt()).isEqualTo(20);
        assertThat(stand.path("cutBackOn").asString()).isEqualTo(TODAY.toString());
        assertThat(stand.path("balls")).isEmpty();

        nursery.clock().moveTo(TODAY.plusDays(1));
        try {
            ObjectNode grown = (ObjectNode) stand.path("limb").deepCopy();
            nursery.grower()
                    .put("/api/v1/limbs/" + limb, grown.put("lengthMm", "90 cm"))
                    .expect(200);
            assertThat(page().at("/limbs/0/lengthMm").asDouble()).isEqualTo(900);
            assertThat(page().at("/limbs/0/cutBackOn").isNull()).isTrue();
        } finally {
            nursery.clock().moveTo(TODAY);
        }
    }

    @Test
    void the_bench_warns_of_balls_that_crowd_one_another_and_keeps_the_reason() {
        long limb = limb("Leader", 15, "ONE_TWO", 15, 40);
        String first = codes(set(onLimb(limb, 300)).expect(201)).get(0);
        Map<String, Object> close = onLimb(limb, 450);
        JsonNode remarks = nursery.grower()
                .post("/api/v1/set-previews", close)
                .expect(200)
                .body()
                .path("remarks");
        assertThat(remarks.valueStream().map(one -> one.path("sentence").asString()))
                .contains("On Leader, only 72 mm lie between row 1 and " + first
                        + ": their roots and leaves crowd one another.");
        close.put("reason", "");
        assertThat(set(close).expect(400).fields()).contains("reason");
        close.put("reason", "the fork takes both");
        String second = codes(set(close).expect(201)).get(0);
        assertThat(nursery.grower()
                        .get("/api/v1/layers/" + second)
                        .body()
                        .at("/records/0/note")
                        .asString())
                .isEqualTo("the fork takes both");
        // what is wrong already is not said again of what is set elsewhere
        assertThat(keys(nursery.grower()
                        .post("/api/v1/set-previews", onLimb(limb, 900))
                        .expect(200)
                        .body()
                        .path("remarks")))
                .doesNotContain("LIMB");
        assertThat(page().at("/limbs/0/faults/0").asString()).contains(second).contains(first);
    }

    @Test
    void a_ring_with_no_shoot_below_it_is_refused_where_the_species_does_not_come_again() {
        Map<String, Object> quince = new HashMap<>(nursery.batch(mother, TODAY, 1));
        quince.put("liveShootBelow", false);
        JsonNode remarks = nursery.grower()
                .post("/api/v1/set-previews", quince)
                .expect(200)
                .body();
        assertThat(levels(remarks.path("remarks"), "NO_SHOOT_BELOW")).containsExactly("WARN");

        long tree = nursery.mother("ERIJAP", nursery.field());
        Map<String, Object> loquat = new HashMap<>(nursery.batch(tree, TODAY, 1));
        loquat.put("liveShootBelow", false);
        set(loquat).expect(400);
        loquat.put("liveShootBelow", true);
        set(loquat).expect(201);
    }

    @Test
    void a_limb_on_record_says_itself_that_no_shoot_stays_below() {
        Map<String, Object> body = new HashMap<>(limbBody("Whole top", 15, "ONE_TWO", 15, 40));
        body.put("shootBelow", false);
        long limb = nursery.grower()
                .post("/api/v1/mothers/" + mother + "/limbs", body)
                .expect(201)
                .body()
                .path("id")
                .asLong();
        limb("Twig", 4, "SOFT", 10, 2);
        JsonNode limbs = page().path("limbs");
        assertThat(keys(limbs.at("/0/remarks"))).containsExactly("NO_SHOOT_BELOW");
        assertThat(limbs.at("/0/remarks/0/sentence").asString()).contains("is the whole top meant to come off?");
        assertThat(keys(limbs.at("/1/remarks"))).containsExactly("THIN", "FEW_LEAVES");
        assertThat(keys(nursery.grower()
                        .post("/api/v1/set-previews", onLimb(limb, 300))
                        .expect(200)
                        .body()
                        .path("remarks")))
                .contains("NO_SHOOT_BELOW");
    }

    @Test
    void a_limb_of_another_mother_or_one_that_is_gone_is_refused() {
        long other = nursery.mother("CYDOBL", nursery.field());
        long limb = limb("Leader", 15, "ONE_TWO", 15, 40);
        Map<String, Object> wrong = onLimb(limb, 300);
        wrong.put("motherId", other);
        assertThat(set(wrong).expect(400).fields()).containsExactly("rows[0].limbId");

        ObjectNode gone = (ObjectNode) page().at("/limbs/0/limb").deepCopy();
        nursery.grower()
                .put("/api/v1/limbs/" + limb, gone.put("goneOn", TODAY.toString()))
                .expect(200);
        assertThat(set(onLimb(limb, 300)).expect(400).body().toString()).contains("gone");
        assertThat(page().at("/limbs/0/more").asInt()).isZero();
        nursery.grower().put("/api/v1/limbs/" + limb, gone).expect(409);
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
                .contains("is retired since 10 July");
        assertThat(line().path("why").asString()).isEqualTo("Retired on 10 July.");
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
                .post("/api/v1/mothers/" + twin + "/limbs", limbBody("Leader", 12, "SOFT", 5, 12))
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
                .contains("relabel it first");
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

    @Test
    void a_viewer_reads_the_stock_and_changes_nothing() {
        nursery.viewer().get("/api/v1/stock").expect(200);
        nursery.viewer()
                .post("/api/v1/mothers/" + mother + "/limbs", limbBody("Leader", 12, "SOFT", 5, 12))
                .expect(403);
    }

    @Test
    void the_list_takes_the_same_few_statements_however_many_mothers_there_are() {
        for (int i = 0; i < 20; i++) {
            nursery.mother("CYDOBL", nursery.field());
        }
        nursery.grower().get("/api/v1/stock").expect(200);
        TestNursery.statements();
        nursery.grower().get("/api/v1/stock").expect(200);
        // with what the session takes now and then
        assertThat(TestNursery.statements()).isLessThanOrEqualTo(12);
    }

    @Test
    void a_limb_with_words_for_a_number_is_refused_with_what_was_typed() {
        Map<String, Object> body = new HashMap<>(limbBody("Leader", 15, "ONE_TWO", 15, 40));
        body.put("leaves", "many");
        JsonNode violation = nursery.grower()
                .post("/api/v1/mothers/" + mother + "/limbs", body)
                .expect(400)
                .body()
                .at("/violations/0");
        assertThat(violation.path("field").asString()).isEqualTo("leaves");
        assertThat(violation.path("value").asString()).isEqualTo("many");
        body.put("leaves", 40);
        body.put("lengthMm", "40 m");
        assertThat(nursery.grower()
                        .post("/api/v1/mothers/" + mother + "/limbs", body)
                        .expect(400)
                        .fields())
                .containsExactly("lengthMm");
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
        Map<String, Object> batch = new HashMap<>(nursery.batch(mother, TODAY, 1));
        List<Map<String, Object>> rows = new ArrayList<>();
        for (double mm : fromUnionMm) {
            Map<String, Object> row = new HashMap<>(TestNursery.row(15));
            row.put("limbId", limb);
            row.put("fromUnionMm", mm);
            rows.add(row);
        }
        batch.put("rows", rows);
        return batch;
    }

    /** A limb of 1200 mm with 24 nodes. */
    private long limb(String name, double mm, String wood, double lean, int leaves) {
        return nursery.grower()
                .post("/api/v1/mothers/" + mother + "/limbs", limbBody(name, mm, wood, lean, leaves))
                .expect(201)
                .body()
                .path("id")
                .asLong();
    }

    private Map<String, Object> limbBody(String name, double mm, String wood, double lean, int leaves) {
        return Map.ofEntries(
                Map.entry("motherId", mother),
                Map.entry("name", name),
                Map.entry("diameterMm", mm),
                Map.entry("wood", wood),
                Map.entry("leanDeg", lean),
                Map.entry("lengthMm", "120 cm"),
                Map.entry("nodes", 24),
                Map.entry("leaves", leaves),
                Map.entry("toBePruned", false),
                Map.entry("shootBelow", true),
                Map.entry("note", ""),
                Map.entry("version", 0));
    }

    private static List<String> codes(Client.Answer answer) {
        return answer.body()
                .path("codes")
                .valueStream()
                .map(code -> code.asString())
                .toList();
    }

    private static List<String> keys(JsonNode remarks) {
        return remarks.valueStream().map(one -> one.path("key").asString()).toList();
    }

    private static List<String> levels(JsonNode remarks, String key) {
        return remarks.valueStream()
                .filter(one -> one.path("key").asString().equals(key))
                .map(one -> one.path("level").asString())
                .toList();
    }
}
