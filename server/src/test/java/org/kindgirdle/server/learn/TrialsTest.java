package org.kindgirdle.server.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.JsonNode;

@ExtendWith(NurseryExtension.class)
class TrialsTest {

    private final TestNursery nursery;
    private final long film;
    private final long clear;
    private final long pod;
    private final long one;
    private final long two;
    private static int trials;

    TrialsTest(TestNursery nursery) {
        this.nursery = nursery;
        this.film = recipe("TIED_FILM", "FOIL", 3000);
        this.clear = recipe("TIED_FILM", "CLEAR", 3000);
        this.pod = recipe("HINGED_POD", "CLEAR", 8000);
        this.one = nursery.mother("CYDOBL", nursery.field());
        this.two = nursery.mother("CYDOBL", nursery.tunnel());
    }

    @Test
    void places_are_dealt_evenly_on_each_mother_and_the_same_seed_deals_them_the_same() {
        long limb = nursery.limb(one, "south limb", 22, "ONE_TWO", 20, 40);
        JsonNode trial = begin(7L, place(one, limb, 3).and(one, null, 5).and(two, null, 7));
        assertThat(trial.path("seed").asLong()).isEqualTo(7);
        assertThat(trial.path("places")).hasSize(15);
        assertThat(trial.at("/places/0/limb").asString()).isEqualTo("south limb");
        for (long mother : List.of(one, two)) {
            long first = dealt(trial, mother, 0).size();
            long second = dealt(trial, mother, 1).size();
            assertThat(Math.abs(first - second)).isLessThanOrEqualTo(1);
        }
        JsonNode again = begin(7L, place(one, limb, 3).and(one, null, 5).and(two, null, 7));
        assertThat(arms(again)).isEqualTo(arms(trial));
        JsonNode drawn = begin(null, place(one, null, 8).and(two, null, 7));
        assertThat(drawn.path("seed").isIntegralNumber()).isTrue();
        assertThat(nursery.viewer().get("/api/v1/trials").expect(200).body().size())
                .isGreaterThanOrEqualTo(3);
    }

    @Test
    void what_was_dealt_and_what_was_done_are_both_kept() {
        JsonNode trial = begin(1L, place(one, null, 6));
        List<Long> first = dealt(trial, one, 0);
        List<String> codes = new ArrayList<>();
        set(film, first, "asked for by the test")
                .expect(201)
                .body()
                .path("codes")
                .forEach(code -> codes.add(code.asString()));
        // the other arm's places with the wrong recipe: a warning, that asks for a reason
        List<Long> second = dealt(trial, one, 1);
        assertThat(set(pod, second, "").expect(400).fields()).contains("reason");
        set(pod, second, "the film had run out").expect(201);
        JsonNode page = nursery.grower()
                .get("/api/v1/trials/" + trial.at("/line/id").asLong())
                .body();
        assertThat(page.at("/line/arms/0/set").asInt()).isEqualTo(3);
        assertThat(page.at("/line/arms/1/set").asInt()).isZero();
        assertThat(page.at("/line/arms/1/setOtherwise").asInt()).isEqualTo(3);
        assertThat(page.path("remarks").toString()).containsPattern(Said.by("trial.otherwise", "count", 3));
        JsonNode of = nursery.grower()
                .get("/api/v1/layers/" + codes.get(0) + "/trial")
                .expect(200)
                .body();
        assertThat(of.path("arm").asString()).isEqualTo("A");
        assertThat(of.path("asAssigned").asBoolean()).isTrue();
        // a place that is taken is taken
        Client.Answer taken = set(film, first, "again").expect(400);
        assertThat(taken.fields().get(0)).isEqualTo("rows[0].trialSlotId");
        assertThat(taken.body().at("/violations/0/message").asString())
                .isEqualTo(Refusals.say("bench.trialPlace.taken", "code", codes.get(0)));
        String plain = nursery.set(two, TODAY, 1).get(0);
        nursery.grower().get("/api/v1/layers/" + plain + "/trial").expect(204);
    }

    @Test
    void arms_that_differ_in_more_than_one_thing_are_told() {
        String differences = nursery.grower()
                .get("/api/v1/recipe-differences?recipes=" + film + "," + clear + "," + pod)
                .expect(200)
                .body()
                .toString();
        assertThat(differences)
                .containsPattern(Said.by("trial.arms.one", "what", "the cover"))
                .containsPattern(Said.by("trial.arms.more", "count", 3, "what", "the hormone, the wrap, the cover"));
        Map<String, Object> edit = edit(3L, place(one, null, 6));
        edit.put("recipeIds", List.of(film, pod));
        JsonNode trial =
                nursery.grower().post("/api/v1/trials", edit).expect(201).body();
        assertThat(trial.path("remarks").toString())
                .containsPattern(Said.by("trial.arms.more"))
                .containsPattern(Said.by("trial.few"));
    }

    /** Fleiss, Levin and Paik: 90 against 70 of a hundred take 72 in each arm, corrected for continuity. */
    @Test
    void numbers_for_a_difference_that_matters_are_reckoned() {
        JsonNode size = nursery.grower()
                .get("/api/v1/trial-sizes?share=0.9&otherShare=0.7&arms=3")
                .expect(200)
                .body();
        assertThat(size.path("perArm").asInt()).isEqualTo(72);
        assertThat(size.path("inAll").asInt()).isEqualTo(216);
        assertThat(size.path("sentence").asString()).contains("72 layers in each arm", "70%", "90%");
        assertThat(nursery.grower()
                        .get("/api/v1/trial-sizes?share=0.7&otherShare=0.7")
                        .expect(400)
                        .fields())
                .containsExactly("otherShare");
    }

    @Test
    void a_trial_that_is_none_is_refused_and_nothing_is_written() {
        int before = count();
        Map<String, Object> twice = edit(1L, place(one, null, 6));
        twice.put("recipeIds", List.of(film, film));
        assertThat(nursery.grower().post("/api/v1/trials", twice).expect(400).fields())
                .containsExactly("recipeIds");
        assertThat(nursery.grower()
                        .post("/api/v1/trials", edit(1L, place(one, null, 1)))
                        .expect(400)
                        .fields())
                .containsExactly("places");
        long limb = nursery.limb(two, "low limb", 20, "ONE_TWO", 20, 40);
        assertThat(nursery.grower()
                        .post("/api/v1/trials", edit(1L, place(one, limb, 4)))
                        .expect(400)
                        .fields())
                .containsExactly("places[0].limbId");
        nursery.viewer().post("/api/v1/trials", edit(1L, place(one, null, 4))).expect(403);
        assertThat(count()).isEqualTo(before);
    }

    @Test
    void a_trial_is_closed_once() {
        JsonNode trial = begin(1L, place(one, null, 4));
        String path = "/api/v1/trials/" + trial.at("/line/id").asLong() + "/closing";
        Map<String, Object> version = Map.of("version", trial.path("version").asLong());
        assertThat(nursery.grower()
                        .post(path, version)
                        .expect(200)
                        .body()
                        .at("/line/closedOn")
                        .asString())
                .isEqualTo(TODAY.toString());
        nursery.grower().post(path, version).expect(409);
        nursery.grower().post("/api/v1/trials/999999/closing", version).expect(404);
    }

    @Test
    void what_came_of_a_trial_is_no_verdict_before_the_end_and_then_says_what_it_is_worth() {
        JsonNode trial = begin(1L, place(one, null, 40));
        String path = "/api/v1/trials/" + trial.at("/line/id").asLong();
        List<String> first = codes(set(film, dealt(trial, one, 0), "asked for by the test"));
        List<String> second = codes(set(clear, dealt(trial, one, 1), "asked for by the test"));
        assertThat(result(path).path("verdict").asString()).containsPattern(Said.by("trial.nothing"));
        first.subList(0, 18).forEach(this::sever);
        first.subList(18, 20).forEach(this::lose);
        JsonNode early = result(path);
        assertThat(early.path("verdict").asString()).contains("20 of 40 places", "no verdict");
        assertThat(early.path("open").asInt()).isEqualTo(20);

        second.subList(0, 8).forEach(this::sever);
        second.subList(8, 20).forEach(this::lose);
        JsonNode end = result(path);
        assertThat(end.path("verdict").asString())
                .containsPattern(Said.by("trial.end.settled"))
                .containsPattern(Said.by("compare.settled", "high", "90%", "low", "40%"));
        JsonNode against = end.at("/others/0");
        // Fisher's p of 18 of 20 against 8 of 20
        assertThat(against.at("/side/fisherP").asDouble()).isCloseTo(.00221, within(1e-4));
        assertThat(against.path("blocked").asDouble()).isCloseTo(-.5, within(1e-12));
        assertThat(against.path("blockedSentence").asString()).contains("50 points worse than arm A");
        assertThat(end.at("/arms/0/mothers/0/of").asInt()).isEqualTo(20);
    }

    @Test
    void too_few_to_tell_says_how_many_more_would_settle_it() {
        JsonNode trial = begin(1L, place(one, null, 12));
        String path = "/api/v1/trials/" + trial.at("/line/id").asLong();
        List<String> first = codes(set(film, dealt(trial, one, 0), "asked for by the test"));
        List<String> second = codes(set(clear, dealt(trial, one, 1), "asked for by the test"));
        first.subList(0, 5).forEach(this::sever);
        lose(first.get(5));
        second.subList(0, 3).forEach(this::sever);
        second.subList(3, 6).forEach(this::lose);
        JsonNode end = result(path);
        int more = end.at("/others/0/side/moreEach").asInt();
        int needed = nursery.grower()
                .get("/api/v1/trial-sizes?share=" + 5.0 / 6 + "&otherShare=0.5")
                .body()
                .path("perArm")
                .asInt();
        assertThat(more).isEqualTo(needed - 6);
        assertThat(end.path("verdict").asString())
                .containsPattern(Said.by("trial.end.open"))
                .containsPattern(Said.by("compare.open", "more", more));
    }

    @Test
    void what_is_settled_changes_the_usual_recipe_from_then_on_and_nothing_that_stands() {
        JsonNode trial = begin(1L, place(one, null, 4));
        String path = "/api/v1/trials/" + trial.at("/line/id").asLong();
        String old =
                codes(set(film, dealt(trial, one, 0), "asked for by the test")).get(0);
        int before = recipe(film).path("number").asInt();
        Map<String, Object> choice = Map.of(
                "arm", 1, "note", "cheaper", "version", trial.path("version").asLong());
        nursery.grower().post(path + "/decision", choice).expect(403);
        JsonNode decided =
                nursery.owner().post(path + "/decision", choice).expect(200).body();
        assertThat(decided.at("/decision/arm").asInt()).isEqualTo(1);
        assertThat(decided.at("/decision/note").asString()).isEqualTo("cheaper");
        assertThat(decided.at("/line/closedOn").asString()).isEqualTo(TODAY.toString());
        JsonNode usual = recipe(film);
        assertThat(usual.path("number").asInt()).isEqualTo(before + 1);
        assertThat(usual.at("/recipe/cover").asString()).isEqualTo("CLEAR");
        assertThat(nursery.grower()
                        .get("/api/v1/layers/" + old)
                        .body()
                        .at("/recipe/number")
                        .asInt())
                .isEqualTo(before);
        nursery.owner()
                .post(
                        path + "/decision",
                        Map.of(
                                "arm",
                                0,
                                "note",
                                "",
                                "version",
                                decided.path("version").asLong()))
                .expect(409);
    }

    private JsonNode recipe(long id) {
        return nursery.grower()
                .get("/api/v1/recipes")
                .body()
                .valueStream()
                .filter(one -> one.path("id").asLong() == id)
                .findFirst()
                .orElseThrow();
    }

    private JsonNode result(String path) {
        return nursery.viewer().get(path).expect(200).body().path("result");
    }

    private static List<String> codes(Client.Answer answer) {
        return answer.expect(201)
                .body()
                .path("codes")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
    }

    private void sever(String code) {
        nursery.record(code, Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 9, "leavesLeft", 4)))
                .expect(201);
    }

    private void lose(String code) {
        nursery.record(code, Map.of("kind", "LOST", "details", Map.of("cause", "NO_ROOTS")))
                .expect(201);
    }

    private int count() {
        Integer rows = nursery.sql()
                .queryForObject(
                        "select (select count(*) from trial) + (select count(*) from trial_slot)", Integer.class);
        return rows == null ? 0 : rows;
    }

    private Client.Answer set(long recipe, List<Long> slots, String reason) {
        Map<String, Object> batch = new HashMap<>(nursery.batch(one, TODAY, 1));
        batch.put("recipeId", recipe);
        batch.put("reason", reason);
        batch.put(
                "rows",
                slots.stream()
                        .map(slot -> {
                            Map<String, Object> row = new HashMap<>(TestNursery.row(18));
                            row.put("trialSlotId", slot);
                            return row;
                        })
                        .toList());
        return nursery.grower().post("/api/v1/batches", batch);
    }

    private JsonNode begin(@Nullable Long seed, Places places) {
        return nursery.grower()
                .post("/api/v1/trials", edit(seed, places))
                .expect(201)
                .body();
    }

    private Map<String, Object> edit(@Nullable Long seed, Places places) {
        trials++;
        Map<String, Object> edit = new HashMap<>(Map.of(
                "name", "Foil or none " + trials,
                "question", "Does foil keep the ball cool enough to root more of them?",
                "recipeIds", List.of(film, clear),
                "size", Map.of("share", .7, "otherShare", .9, "significance", .05, "power", .8),
                "places", places.all()));
        if (seed != null) {
            edit.put("seed", seed);
        }
        return edit;
    }

    /** Places as they are listed. */
    private record Places(List<Map<String, Object>> all) {

        Places and(long mother, @Nullable Long limb, int count) {
            Map<String, Object> place = new HashMap<>(Map.of("motherId", mother, "count", count));
            place.put("limbId", limb);
            List<Map<String, Object>> more = new ArrayList<>(all);
            more.add(place);
            return new Places(more);
        }
    }

    private static Places place(long mother, @Nullable Long limb, int count) {
        return new Places(List.of()).and(mother, limb, count);
    }

    private static List<Long> dealt(JsonNode trial, long mother, int arm) {
        return trial.path("places")
                .valueStream()
                .filter(place -> place.path("motherId").asLong() == mother
                        && place.path("arm").asInt() == arm)
                .map(place -> place.path("slotId").asLong())
                .toList();
    }

    private static List<Integer> arms(JsonNode trial) {
        return trial.path("places")
                .valueStream()
                .map(place -> place.path("arm").asInt())
                .toList();
    }

    private long recipe(String wrap, String cover, int ppm) {
        trials++;
        return nursery.owner()
                .post(
                        "/api/v1/recipes",
                        Map.of(
                                "name",
                                wrap + " " + cover + " " + trials,
                                "school",
                                "IN_LEAF",
                                "recipe",
                                Map.of(
                                        "method",
                                        "AIR",
                                        "wound",
                                        "RING_SCRAPED",
                                        "hormonePpm",
                                        ppm,
                                        "medium",
                                        "MOSS",
                                        "wrap",
                                        wrap,
                                        "cover",
                                        cover,
                                        "containerG",
                                        0,
                                        "containerMl",
                                        0),
                                "number",
                                0,
                                "version",
                                0))
                .expect(201)
                .body()
                .path("id")
                .asLong();
    }
}
