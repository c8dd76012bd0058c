package org.kindgirdle.server.climate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.JsonNode;

@ExtendWith(NurseryExtension.class)
class WeatherTest {

    private final TestNursery nursery;

    WeatherTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    /** The other tests reckon with the normals. */
    @AfterEach
    void forget() {
        nursery.sql().update("delete from weather_day");
        nursery.sql().update("delete from weather_change");
        nursery.sql().update("update nursery_lock set edition = uuid()");
    }

    @Test
    void a_cold_spell_that_is_imported_moves_the_dates_of_live_layers() {
        String code = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(40), 1)
                .get(0);
        JsonNode before = forecast(code);
        String csv = csv(TODAY.minusDays(40), 40, "4,12");
        JsonNode preview = nursery.grower()
                .post("/api/v1/weather/import-previews", Map.of("csv", csv, "replace", false))
                .expect(200)
                .body();
        assertThat(preview.path("days").asInt()).isEqualTo(40);
        assertThat(preview.path("badRows").asInt()).isZero();
        assertThat(forecast(code)).isEqualTo(before);

        take(csv, false).expect(200);
        JsonNode after = forecast(code);
        assertThat(after.path("thermalDays").asDouble())
                .isLessThan(before.path("thermalDays").asDouble() - 10);
        assertThat(after.path("q50").asString())
                .isGreaterThan(before.path("q50").asString());
        // what the lists and rounds read is reckoned anew as well
        LocalDate listed =
                nursery.sql().queryForObject("select ready50_on from layer where code = ?", LocalDate.class, code);
        assertThat(listed).hasToString(after.path("q50").asString());
    }

    @Test
    void one_bad_row_and_nothing_is_written() {
        String csv = csv(TODAY.minusDays(9), 5, "10,20") + "2026-07-09,22,20\n2026-07-10,warm,20\n";
        Client.Answer refused = take(csv, true).expect(400);
        assertThat(refused.fields()).containsExactly("line 7, min_c", "line 8, min_c");
        assertThat(measured()).isZero();
    }

    @Test
    void days_that_are_there_already_are_shown_before_they_are_replaced() {
        take(csv(TODAY.minusDays(5), 5, "10,20"), false).expect(200);
        String other = csv(TODAY.minusDays(3), 3, "11,21");
        JsonNode preview = nursery.grower()
                .post("/api/v1/weather/import-previews", Map.of("csv", other, "replace", false))
                .expect(200)
                .body();
        assertThat(preview.path("overlapping").asInt()).isEqualTo(3);
        assertThat(preview.at("/overlaps/0/minNowC").asDouble()).isEqualTo(10);
        assertThat(preview.at("/overlaps/0/minNewC").asDouble()).isEqualTo(11);
        assertThat(take(other, false).expect(400).fields()).containsExactly("replace");
        assertThat(day(TODAY.minusDays(3)).path("minC").asDouble()).isEqualTo(10);
        JsonNode done = take(other, true).expect(200).body();
        assertThat(done.path("replaced").asInt()).isEqualTo(3);
        assertThat(day(TODAY.minusDays(3)).path("minC").asDouble()).isEqualTo(11);
        assertThat(day(TODAY.minusDays(5)).path("minC").asDouble()).isEqualTo(10);
        // the same file again overlaps with nothing: it is the same
        assertThat(take(other, false).expect(200).body().path("replaced").asInt())
                .isZero();
    }

    @Test
    void a_lost_answer_and_the_file_sent_again_is_one_import() {
        UUID id = UUID.randomUUID();
        Map<String, Object> body = Map.of("csv", csv(TODAY.minusDays(4), 4, "10,20"), "replace", false);
        JsonNode first = nursery.grower()
                .post("/api/v1/weather/imports", id, body)
                .expect(200)
                .body();
        assertThat(nursery.grower()
                        .post("/api/v1/weather/imports", id, body)
                        .expect(200)
                        .body())
                .isEqualTo(first);
    }

    @Test
    void a_day_can_be_typed_in_with_its_units_and_tomorrow_cannot() {
        nursery.grower()
                .put("/api/v1/weather/" + TODAY.minusDays(1), Map.of("minC", "50 F", "maxC", "21 C", "windMs", 3))
                .expect(200);
        JsonNode typed = day(TODAY.minusDays(1));
        assertThat(typed.path("kind").asString()).isEqualTo("MEASURED");
        assertThat(typed.path("minC").asDouble()).isEqualTo(10);
        assertThat(typed.path("windMs").asDouble()).isEqualTo(3);
        assertThat(day(TODAY.minusDays(2)).path("kind").asString()).isEqualTo("NORMAL");
        assertThat(nursery.grower()
                        .put("/api/v1/weather/" + TODAY.plusDays(1), Map.of("minC", 9, "maxC", 21))
                        .expect(400)
                        .fields())
                .containsExactly("day");
        assertThat(nursery.grower()
                        .put("/api/v1/weather/" + TODAY, Map.of("minC", 22, "maxC", 21))
                        .expect(400)
                        .fields())
                .containsExactly("maxC");
        nursery.viewer()
                .put("/api/v1/weather/" + TODAY, Map.of("minC", 12, "maxC", 21))
                .expect(403);
    }

    @Test
    void ten_years_are_taken_at_once() {
        take(csv(LocalDate.of(2016, 7, 1), 3650, "8.5,17.25"), false).expect(200);
        assertThat(measured()).isEqualTo(3650);
    }

    @Test
    void what_was_measured_is_an_owners_to_put_right_and_what_stood_there_stays_known() {
        String day = "/api/v1/weather/" + TODAY.minusDays(3);
        nursery.owner().put(day, Map.of("minC", 8, "maxC", 17)).expect(200);
        assertThat(nursery.grower()
                        .put(day, Map.of("minC", 18, "maxC", 37))
                        .expect(403)
                        .body()
                        .path("detail")
                        .asString())
                .isEqualTo(Refusals.say("weather.measured.one", "on", TODAY.minusDays(3)));
        nursery.grower()
                .post("/api/v1/weather/imports", Map.of("csv", csv(TODAY.minusDays(5), 5, "1,2"), "replace", true))
                .expect(403);
        assertThat(measured()).isEqualTo(1);
        // the same again is no change, and a day that nobody has measured is anybody's to type in
        nursery.owner().put(day, Map.of("minC", 8, "maxC", 17)).expect(200);
        nursery.grower()
                .put("/api/v1/weather/" + TODAY.minusDays(4), Map.of("minC", 7, "maxC", 16))
                .expect(200);
        nursery.owner().put(day, Map.of("minC", 9, "maxC", 18)).expect(200);
        assertThat(nursery.sql()
                        .queryForMap(
                                "select min_c, max_c, recorded_by, replaced_by from weather_change where day = ?",
                                TODAY.minusDays(3)))
                .containsEntry("min_c", 8.0)
                .containsEntry("max_c", 17.0)
                .containsEntry("recorded_by", "odile")
                .containsEntry("replaced_by", "odile");
    }

    private Client.Answer take(String csv, boolean replace) {
        return nursery.owner().post("/api/v1/weather/imports", Map.of("csv", csv, "replace", replace));
    }

    private int measured() {
        Integer count = nursery.sql().queryForObject("select count(*) from weather_day", Integer.class);
        return count == null ? 0 : count;
    }

    private JsonNode day(LocalDate on) {
        return nursery.viewer()
                .get("/api/v1/weather?from=" + on + "&to=" + on.plusDays(1))
                .expect(200)
                .body()
                .at("/days/0");
    }

    private JsonNode forecast(String code) {
        return nursery.grower().get("/api/v1/layers/" + code).expect(200).body().path("forecast");
    }

    private static String csv(LocalDate from, int days, String readings) {
        return Stream.iterate(from, day -> day.plusDays(1))
                .limit(days)
                .map(day -> day + "," + readings + "\n")
                .collect(Collectors.joining("", "date,min_c,max_c\n", ""));
    }
}
