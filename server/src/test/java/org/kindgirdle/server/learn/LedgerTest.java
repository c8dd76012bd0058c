package org.kindgirdle.server.learn;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;

@ExtendWith(NurseryExtension.class)
class LedgerTest {

    private static final LocalDate TODAY = TestNursery.TODAY;
    private static final String SPECIES = "MESGER";

    private final TestNursery nursery;
    private final long mother;

    LedgerTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother(SPECIES, nursery.field());
    }

    @AfterEach
    void backToToday() {
        nursery.clock().moveTo(TODAY);
    }

    @Test
    void two_arms_agree_with_the_worked_rows() throws IOException {
        for (Map<String, String> row : rows("compare_two")) {
            JsonNode answer = nursery.viewer()
                    .get("/api/v1/comparisons?rootedA=" + row.get("rooted_a") + "&setA=" + row.get("set_a")
                            + "&rootedB=" + row.get("rooted_b") + "&setB=" + row.get("set_b"))
                    .expect(200)
                    .body();
            near(answer.at("/a/low"), row, "a_low", 1e-4);
            near(answer.at("/a/high"), row, "a_high", 1e-4);
            near(answer.at("/b/low"), row, "b_low", 1e-4);
            near(answer.at("/b/high"), row, "b_high", 1e-4);
            near(answer.path("fisherP"), row, "fisher_p", 1e-4);
            assertThat(answer.path("settled").asBoolean()).isEqualTo(Double.parseDouble(row.get("fisher_p")) < .05);
        }
    }

    @Test
    void figures_that_cannot_be_are_refused_with_what_was_typed() {
        assertThat(nursery.viewer()
                        .get("/api/v1/comparisons?rootedA=9&setA=8&rootedB=1&setB=3")
                        .expect(400)
                        .fields())
                .containsExactly("rootedA");
        assertThat(nursery.viewer().get("/api/v1/ready-times").expect(400).fields())
                .containsExactly("species");
        assertThat(nursery.viewer().get("/api/v1/ledger?by=MOON").expect(400).fields())
                .containsExactly("by");
    }

    @Test
    void what_somebody_calls_a_side_is_never_taken_for_a_place_to_be_filled_in() {
        String sentence = nursery.viewer()
                .get("/api/v1/comparisons?rootedA=19&setA=20&rootedB=1&setB=20&nameA=%7B%7Blow%7D%7D&nameB=%7B%7D")
                .expect(200)
                .body()
                .toString();
        assertThat(sentence).contains("{{low}} did better");
    }

    @Test
    void a_table_counts_what_became_of_layers_and_each_figure_finds_the_layers_behind_it() {
        season();
        JsonNode table = ledger("WOUND");
        assertThat(table.path("lines")).hasSize(1);
        JsonNode line = table.at("/lines/0");
        assertThat(line.path("value").asString()).isEqualTo("RING_SCRAPED");
        assertThat(line.path("set").asInt()).isEqualTo(8);
        assertThat(line.path("underWay").asInt()).as("on the ladder as well").isEqualTo(3);
        // one of them is full and still on its mother: it has rooted
        assertThat(counts(line.path("rooted"))).containsExactly(5, 7);
        assertThat(counts(line.path("established"))).containsExactly(2, 3);
        // Wilson: 5 of 7
        assertThat(line.at("/rooted/low").asDouble()).isCloseTo(.3589, within(1e-3));
        assertThat(line.at("/rooted/high").asDouble()).isCloseTo(.9178, within(1e-3));
        assertThat(line.at("/causes/0/cause").asString()).isEqualTo("ANIMALS");
        assertThat(line.at("/causes/0/count").asInt()).isEqualTo(2);
        assertThat(line.at("/causes/1/cause").asString()).isEqualTo("COLLAR_ROT");
        assertThat(line.at("/days/seen").asInt()).isEqualTo(1);
        assertThat(line.at("/days/median").asInt()).isEqualTo(60);
        // set at 4 minutes each, two looks of 1, four severed and potted at 6
        assertThat(line.path("minutes").asDouble()).isCloseTo(8 * 4 + 2 + 4 * 6, within(1e-9));
        assertThat(line.path("minutesPerPlant").asDouble()).isCloseTo((8 * 4 + 2 + 4 * 6) / 2.0, within(1e-9));

        assertThat(behind("outcome=ROOTED")).isEqualTo(5);
        assertThat(behind("outcome=ROOTING_KNOWN")).isEqualTo(7);
        assertThat(behind("outcome=ESTABLISHED&wound=RING_SCRAPED")).isEqualTo(2);
        assertThat(behind("outcome=ESTABLISHED&wound=TOURNIQUET")).isZero();
        assertThat(behind("cause=ANIMALS&year=2026")).isEqualTo(2);
        assertThat(behind("cause=ANIMALS&year=2025")).isZero();
    }

    @Test
    void whatever_they_are_kept_apart_by_all_of_them_are_counted_once() {
        season();
        for (String by : List.of(
                "SPECIES",
                "VARIETY",
                "MOTHER",
                "PLACE",
                "RECIPE",
                "WOUND",
                "HORMONE",
                "MEDIUM",
                "WRAP",
                "COVER",
                "WOOD",
                "POSITION",
                "WEEK",
                "HAND",
                "YEAR")) {
            JsonNode table = ledger(by);
            assertThat(table.path("lines")
                            .valueStream()
                            .mapToInt(line -> line.path("set").asInt())
                            .sum())
                    .as(by)
                    .isEqualTo(8)
                    .isEqualTo(table.at("/all/set").asInt());
            for (JsonNode line : table.path("lines")) {
                assertThat(behind(table.path("filter").asString() + "="
                                + line.path("value").asString().replace(" ", "%20")))
                        .as(by + " " + line.path("value"))
                        .isEqualTo(line.path("set").asInt());
            }
        }
    }

    @Test
    void what_is_taken_back_is_counted_no_more() {
        String code = nursery.set(mother, TODAY.minusDays(30), 1).get(0);
        nursery.record(code, lost("BROKE")).expect(201);
        assertThat(counts(ledger("YEAR").at("/all/rooted"))).containsExactly(0, 1);
        JsonNode records = nursery.grower().get("/api/v1/layers/" + code).body().path("records");
        String id = records.valueStream()
                .filter(one -> one.path("kind").asString().equals("LOST"))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
        nursery.record(code, Map.of("kind", "WITHDRAWN", "corrects", id, "details", Map.of()))
                .expect(201);
        assertThat(counts(ledger("YEAR").at("/all/rooted"))).containsExactly(0, 0);
        assertThat(ledger("YEAR").at("/all/causes")).isEmpty();
    }

    @Test
    void the_time_to_a_full_ball_is_learned_and_moves_the_dates_only_when_it_is_settled() {
        String species = "STYJAP";
        long own = nursery.mother(species, nursery.field());
        assertThat(nursery.owner()
                        .put("/api/v1/species/" + species + "/learned-time", Map.of("own", true, "number", 0))
                        .expect(409)
                        .body()
                        .toString())
                .contains("own records");
        List<String> codes = nursery.set(own, TODAY.minusDays(50), 4);
        for (String code : codes.subList(0, 3)) {
            nursery.record(code, at(TODAY.minusDays(15), TestNursery.look("CALLUS", 0)))
                    .expect(201);
            nursery.record(code, TestNursery.look("FILLED", 100)).expect(201);
        }
        JsonNode times = nursery.viewer()
                .get("/api/v1/ready-times?species=" + species)
                .expect(200)
                .body();
        assertThat(times.path("layers").asInt()).isEqualTo(3);
        assertThat(times.path("full").asInt()).isEqualTo(3);
        assertThat(times.path("steps")).hasSize(1);
        double low = times.at("/steps/0/low").asDouble();
        double high = times.at("/steps/0/high").asDouble();
        double profile = times.at("/profile/median").asDouble();
        double learned = times.at("/learned/median").asDouble();
        assertThat(low).isPositive().isLessThan(high);
        assertThat(Math.abs(learned - (low + high) / 2))
                .as("own records draw it their way")
                .isLessThan(Math.abs(profile - (low + high) / 2));

        String waiting = codes.get(3);
        String before = likeliest(waiting);
        assertThat(nursery.grower()
                        .put("/api/v1/species/" + species + "/learned-time", Map.of("own", true, "number", 0))
                        .expect(403)
                        .body())
                .isNotNull();
        JsonNode moves = nursery.owner()
                .post("/api/v1/species/" + species + "/learned-time/previews", Map.of("own", true, "number", 0))
                .expect(200)
                .body();
        assertThat(moves.path("moves").toString()).contains(waiting);
        assertThat(likeliest(waiting)).as("a preview writes nothing").isEqualTo(before);

        JsonNode settled = nursery.owner()
                .put("/api/v1/species/" + species + "/learned-time", Map.of("own", true, "number", 0))
                .expect(200)
                .body();
        assertThat(settled.path("own").asBoolean()).isTrue();
        assertThat(settled.path("records").asInt()).isEqualTo(3);
        assertThat(likeliest(waiting)).isNotEqualTo(before);
        assertThat(page(waiting).at("/forecast/ownRecords").asInt()).isEqualTo(3);
        nursery.owner()
                .put("/api/v1/species/" + species + "/learned-time", Map.of("own", false, "number", 0))
                .expect(409);
        nursery.owner()
                .put(
                        "/api/v1/species/" + species + "/learned-time",
                        Map.of("own", false, "number", settled.path("number").asLong()))
                .expect(200);
        assertThat(likeliest(waiting)).isEqualTo(before);
        assertThat(page(waiting).at("/forecast/ownRecords").asInt()).isZero();
    }

    @Test
    void a_table_takes_the_same_few_statements_however_many_layers_there_are() {
        season();
        TestNursery.statementsOf(nursery.viewer(), "/api/v1/ledger?by=MOTHER");
        long few = TestNursery.statementsOf(nursery.viewer(), "/api/v1/ledger?by=MOTHER");
        nursery.set(mother, TODAY.minusDays(20), 30);
        assertThat(TestNursery.statementsOf(nursery.viewer(), "/api/v1/ledger?by=MOTHER"))
                .isCloseTo(few, within(2L))
                .isLessThanOrEqualTo(12);
    }

    /** Eight: two released, one lost after severance, one on the ladder, two lost before, two on their mother. */
    private void season() {
        List<String> codes = nursery.set(mother, TODAY.minusDays(60), 8);
        for (String code : codes.subList(0, 4)) {
            nursery.record(code, Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 9, "leavesLeft", 4)))
                    .expect(201);
            nursery.record(code, Map.of("kind", "POTTED", "details", Map.of("medium", "LIGHT_MIX", "potMl", 2000)))
                    .expect(201);
        }
        for (String code : codes.subList(0, 2)) {
            nursery.record(
                            code,
                            Map.of(
                                    "kind",
                                    "RELEASED",
                                    "note",
                                    "asked for by the test",
                                    "details",
                                    Map.of("destination", "SALE")))
                    .expect(201);
        }
        nursery.record(codes.get(2), lost("COLLAR_ROT")).expect(201);
        nursery.record(codes.get(4), lost("ANIMALS")).expect(201);
        nursery.record(codes.get(5), lost("ANIMALS")).expect(201);
        nursery.record(codes.get(6), TestNursery.look("FILLED", 90)).expect(201);
        nursery.record(codes.get(7), TestNursery.look("CALLUS", 0)).expect(201);
    }

    private JsonNode ledger(String by) {
        return nursery.viewer()
                .get("/api/v1/ledger?by=" + by + "&motherId=" + mother)
                .expect(200)
                .body();
    }

    private int behind(String filter) {
        return nursery.viewer()
                .get("/api/v1/layers?limit=500&motherId=" + mother + "&" + filter)
                .expect(200)
                .body()
                .path("count")
                .asInt();
    }

    private JsonNode page(String code) {
        return nursery.viewer().get("/api/v1/layers/" + code).expect(200).body();
    }

    private String likeliest(String code) {
        return page(code).at("/forecast/q50").asString();
    }

    private static List<Integer> counts(JsonNode figure) {
        return List.of(figure.path("n").asInt(), figure.path("of").asInt());
    }

    private static Map<String, Object> lost(String cause) {
        return Map.of("kind", "LOST", "details", Map.of("cause", cause));
    }

    private static Map<String, Object> at(LocalDate on, Map<String, Object> record) {
        Map<String, Object> dated = new HashMap<>(record);
        dated.put("occurredAt", on + "T09:00:00Z");
        return dated;
    }

    private static void near(JsonNode answer, Map<String, String> row, String column, double percent) {
        assertThat(answer.asDouble())
                .as(column + " of " + row)
                .isCloseTo(Double.parseDouble(row.get(column)), withinPercentage(percent));
    }

    private static List<Map<String, String>> rows(String file) throws IOException {
        List<String> lines = Files.readAllLines(Path.of("../core/src/test/resources/vectors", file + ".csv"));
        List<String> head = Arrays.asList(lines.get(0).split(","));
        return lines.stream()
                .skip(1)
                .map(line -> {
                    String[] cells = line.split(",");
                    Map<String, String> row = new HashMap<>();
                    head.forEach(name -> row.put(name, cells[head.indexOf(name)]));
                    return row;
                })
                .toList();
    }
}
