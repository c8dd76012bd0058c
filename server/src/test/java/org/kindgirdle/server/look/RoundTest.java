package org.kindgirdle.server.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.kindgirdle.server.harness.TestNursery.TODAY;
import static org.kindgirdle.server.harness.TestNursery.look;

import java.io.IOException;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.sentences.Refusals;
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

        assertThat(statements("/api/v1/round")).isCloseTo(round, within(2L)).isLessThanOrEqualTo(14);
        assertThat(statements("/api/v1/layers/" + code))
                .isCloseTo(page, within(2L))
                .isLessThanOrEqualTo(14);
        assertThat(statements("/api/v1/layers?limit=500"))
                .isCloseTo(list, within(2L))
                .isLessThanOrEqualTo(10);
    }

    @Test
    void a_record_takes_a_bounded_number_of_statements_however_many_there_are_before_it() {
        String code = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(40), 1)
                .get(0);
        nursery.record(code, look("CALLUS", 0)).expect(201);
        for (int i = 1; i < 8; i++) {
            TestNursery.settledStatements();
            nursery.record(code, look("CALLUS", i)).expect(201);
            // every fiftieth record fetches a span of ids
            assertThat(TestNursery.settledStatements()).hasSizeBetween(8, 12);
        }
    }

    @Test
    void the_walk_is_the_plan_of_the_core_and_the_days_ahead_have_theirs() {
        List<String> codes = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(30), 3);
        nursery.record(codes.get(0), look("INITIALS", 5, "BRIDGED")).expect(201);

        JsonNode today = nursery.grower().get("/api/v1/round").expect(200).body();
        assertThat(codesOf(today))
                .as("a bridge can wait a week: the round before that takes it")
                .doesNotContain(codes.get(0));
        JsonNode ahead = today.path("ahead");
        assertThat(ahead.valueStream().map(day -> day.path("on").asString())).isSorted();
        Long beyond = nursery.sql()
                .queryForObject(
                        "select count(*) from layer where phase in ('ON_MOTHER', 'SEVERED', 'POTTED') and job_by > ?",
                        Long.class,
                        TODAY.plusDays(13));
        assertThat(today.path("later").asLong())
                .as("all that have time are counted, in a nursery of this size")
                .isEqualTo(beyond
                        + ahead.valueStream()
                                .mapToLong(day -> day.path("jobs").asLong())
                                .sum());
        assertThat(today.path("laterIsLeast").asBoolean()).isFalse();
        JsonNode friday =
                nursery.grower().get("/api/v1/round?on=2026-07-17").expect(200).body();
        assertThat(codesOf(friday)).contains(codes.get(0));
        assertThat(friday.path("jobs").asInt())
                .isEqualTo(ahead.valueStream()
                        .filter(day -> day.path("on").asString().equals("2026-07-17"))
                        .findFirst()
                        .orElseThrow()
                        .path("jobs")
                        .asInt());
        assertThat(nursery.grower()
                        .get("/api/v1/round?on=2026-07-09")
                        .expect(400)
                        .body()
                        .toString())
                .contains("from 2026-07-10 to 2026-07-23");
    }

    @Test
    void what_is_put_off_leaves_the_walk_until_its_day_and_taken_back_it_returns() {
        String code = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(30), 1)
                .get(0);
        nursery.record(code, look("CALLUS", 0, "DRY")).expect(201);
        UUID putOff = UUID.randomUUID();
        nursery.grower()
                .post("/api/v1/layers/" + code + "/records", putOff, putOffUntil("2026-07-14"))
                .expect(201);
        assertThat(codesOf(nursery.grower().get("/api/v1/round").expect(200).body()))
                .doesNotContain(code);
        assertThat(codesOf(nursery.grower()
                        .get("/api/v1/round?on=2026-07-14")
                        .expect(200)
                        .body()))
                .contains(code);

        nursery.record(code, Map.of("kind", "WITHDRAWN", "details", Map.of(), "corrects", putOff.toString()))
                .expect(201);
        assertThat(codesOf(nursery.grower().get("/api/v1/round").expect(200).body()))
                .contains(code);
        assertThat(nursery.record(
                                code,
                                Map.of(
                                        "kind",
                                        "DEFERRED",
                                        "details",
                                        Map.of("jobs", List.of(""), "until", "2026-07-14")))
                        .expect(400)
                        .body()
                        .toString())
                .contains("a job's code");
    }

    private static Map<String, Object> putOffUntil(String until) {
        return Map.of(
                "kind", "DEFERRED", "details", Map.of("jobs", List.of("REWET"), "until", until), "note", "rain due");
    }

    @Test
    void many_are_topped_up_at_once_with_water_that_nobody_measured_and_all_or_none() {
        List<String> codes = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(30), 12);
        Map<String, Object> body = Map.of("codes", codes, "kind", "TOPPED_UP", "details", Map.of());
        UUID id = UUID.randomUUID();
        JsonNode first = nursery.grower()
                .post("/api/v1/layer-records", id, body)
                .expect(201)
                .body();
        assertThat(first.path("records").size()).isEqualTo(12);
        assertThat(nursery.grower()
                        .post("/api/v1/layer-records", id, body)
                        .expect(201)
                        .body())
                .isEqualTo(first);
        JsonNode page = nursery.grower().get("/api/v1/layers/" + codes.get(11)).body();
        assertThat(page.path("records").size()).isEqualTo(2);
        assertThat(page.at("/records/0/details/waterMl").isNull()).isTrue();

        List<String> withAWrongOne = List.of(codes.get(0), "no code", codes.get(1), codes.get(0));
        Map<String, Object> wrong = Map.of("codes", withAWrongOne, "kind", "TOPPED_UP", "details", Map.of());
        assertThat(nursery.grower()
                        .post("/api/v1/layer-records", wrong)
                        .expect(400)
                        .body()
                        .toString())
                .contains(Refusals.say("record.codes.noCode", "typed", "no code"))
                .contains(Refusals.say("record.codes.twice", "typed", codes.get(0)));
        assertThat(nursery.grower()
                        .post("/api/v1/layer-records", Map.of("codes", codes, "kind", "LOOKED", "details", Map.of()))
                        .expect(400)
                        .body()
                        .toString())
                .contains(Refusals.say("record.kind.many"));
        assertThat(nursery.grower()
                        .get("/api/v1/layers/" + codes.get(0))
                        .body()
                        .path("records")
                        .size())
                .isEqualTo(2);
    }

    @Test
    void each_sees_what_the_others_have_recorded_and_two_looks_on_one_day_are_both_kept() {
        String code = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(30), 1)
                .get(0);
        String since =
                nursery.grower().get("/api/v1/round").body().path("takenAt").asString();
        nursery.record(code, look("CALLUS", 0)).expect(201);
        nursery.owner()
                .post("/api/v1/layers/" + code + "/records", look("INITIALS", 2))
                .expect(201);
        JsonNode changes = nursery.viewer()
                .get("/api/v1/layer-changes?since=" + since)
                .expect(200)
                .body();
        assertThat(changes.path("records")
                        .valueStream()
                        .filter(one -> one.path("code").asString().equals(code))
                        .map(one -> one.path("by").asString()))
                .containsExactly("Gale Fernhollow", "Odile Quern");
        JsonNode round = nursery.grower().get("/api/v1/round").body();
        assertThat(round.path("doneToday")
                        .valueStream()
                        .filter(one -> one.path("code").asString().equals(code)))
                .hasSize(2);
        assertThat(nursery.grower()
                        .get("/api/v1/layers/" + code)
                        .body()
                        .path("stage")
                        .asString())
                .isEqualTo("INITIALS");
    }

    @Test
    void cards_say_what_is_to_be_found_today_and_come_in_a_handful_of_statements() {
        List<String> codes = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(50), 40);
        String all = String.join(",", codes);
        JsonNode cards = nursery.viewer()
                .get("/api/v1/layer-cards?codes=" + all)
                .expect(200)
                .body();
        assertThat(cards.size()).isEqualTo(40);
        JsonNode odds = cards.get(0).path("odds");
        assertThat(odds.valueStream()
                        .mapToDouble(stage -> stage.path("p").asDouble())
                        .sum())
                .isCloseTo(1, within(1e-9));
        assertThat(cards.get(0).path("lookedOn").isNull()).isTrue();
        assertThat(statements("/api/v1/layer-cards?codes=" + all)).isLessThanOrEqualTo(12);
        // the drawings of a list are the cards' own
        JsonNode stems = nursery.viewer()
                .get("/api/v1/layer-stems?codes=" + all)
                .expect(200)
                .body();
        assertThat(stems.size()).isEqualTo(40);
        assertThat(stems.get(7).path("drawing")).isEqualTo(cards.get(7).path("drawing"));
        assertThat(stems.get(7).path("sectors")).isEqualTo(cards.get(7).path("sectors"));
        assertThat(statements("/api/v1/layer-stems?codes=" + all)).isLessThanOrEqualTo(9);
        assertThat(nursery.viewer()
                        .get("/api/v1/layer-cards?codes=" + String.join(",", Collections.nCopies(101, codes.get(0))))
                        .expect(400)
                        .body()
                        .toString())
                .contains(Refusals.say("layer.codes"));
    }

    @Test
    void the_walk_is_printed_with_boxes_to_tick_and_goes_on_over_the_page() throws IOException {
        List<String> codes = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(50), 40);
        Client.Answer answer = nursery.viewer().get("/api/v1/round-sheet").expect(200);
        try (PDDocument sheet = Loader.loadPDF(answer.bytes())) {
            assertThat(sheet.getNumberOfPages()).isGreaterThan(1);
            String text = new PDFTextStripper().getText(sheet);
            assertThat(text)
                    .contains("Round of Friday 10 July")
                    .contains("North field")
                    .contains("first tips");
            JsonNode round = nursery.viewer().get("/api/v1/round").body();
            assertThat(codesOf(round))
                    .containsAll(codes)
                    .allSatisfy(code -> assertThat(text).contains(code));
        }
        assertThat(nursery.viewer()
                        .get("/api/v1/round-sheet?on=2027-01-01")
                        .expect(400)
                        .body()
                        .toString())
                .contains(Refusals.say("round.on"));
    }

    private static List<String> codesOf(JsonNode round) {
        return round.path("places")
                .valueStream()
                .flatMap(place -> place.path("jobs").valueStream())
                .map(job -> job.path("code").asString())
                .toList();
    }

    private long statements(String path) {
        return TestNursery.statementsOf(nursery.grower(), path);
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
