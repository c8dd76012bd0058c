package org.kindgirdle.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.time.LocalDate;
import java.util.List;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The windows that a grower of each place would recognise, at the API. */
@ExtendWith(NurseryExtension.class)
class SeasonTest {

    private final TestNursery nursery;
    private @Nullable ObjectNode siteBefore;

    SeasonTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    /** The other tests live on the cool site. */
    @AfterEach
    void goHome() {
        if (siteBefore != null) {
            JsonNode now = nursery.owner().get("/api/v1/site").body();
            nursery.owner()
                    .put(
                            "/api/v1/site",
                            siteBefore.put("version", now.path("version").asLong()))
                    .expect(200);
        }
    }

    @Test
    void on_a_cool_site_a_quince_is_set_from_spring_to_midsummer() {
        JsonNode quince = species(season("IN_LEAF"), "CYDOBL");
        assertThat(day(quince, "firstGood")).isBetween(LocalDate.of(2026, 4, 14), LocalDate.of(2026, 5, 20));
        assertThat(day(quince, "lastGood")).isBetween(LocalDate.of(2026, 6, 25), LocalDate.of(2026, 7, 31));
        assertThat(classes(quince)).containsSubsequence("CLOSED", "GOOD", "RISKY", "OVERWINTER", "CLOSED");
        assertThat(quince.path("bands")
                        .valueStream()
                        .map(band -> band.path("end").asString("")))
                .containsSubsequence("TOO_EARLY", "TOO_LATE");
    }

    @Test
    void severed_after_leaf_fall_it_may_be_set_later_and_next_year_is_by_the_means_alone() {
        JsonNode inLeaf = species(season("IN_LEAF"), "CYDOBL");
        JsonNode dormant = species(season("DORMANT"), "CYDOBL");
        assertThat(day(dormant, "lastGood")).isAfter(day(inLeaf, "lastGood"));
        JsonNode next = nursery.viewer().get(path("") + "&year=1").expect(200).body();
        assertThat(next.path("from").asString()).startsWith("2027-");
        assertThat(next.path("temperatures").valueStream())
                .allSatisfy(one -> assertThat(one.path("kind").asString()).isEqualTo("NORMAL"));
    }

    @Test
    void in_the_frost_free_tropics_warm_plants_may_be_set_all_year() {
        site(edit -> {
            edit.put("latitude", 10).put("winterLowC", 18).putNull("frosts");
            months(edit, "minC", 20.5, 21, 22.5, 24, 24.5, 24, 23.5, 23.5, 23.5, 23, 22, 21);
            months(edit, "maxC", 29.5, 30.5, 31.5, 32.5, 32, 30.5, 30, 30, 30.5, 30, 29.5, 29);
        });
        JsonNode season = season("IN_LEAF");
        assertThat(season.path("frosts").isNull()).isTrue();
        assertThat(classes(species(season, "ERIJAP"))).containsExactly("GOOD");
        JsonNode start = start("ERIJAP", TODAY);
        assertThat(start.path("sentence").asString()).containsPattern(Said.by("window.GOOD.free"));
        assertThat(start.path("otherwise").size()).isZero();
        // what needs a winter is warned of before it is set
        long apple = nursery.mother("MALDOM", nursery.field());
        assertThat(nursery.grower()
                        .post("/api/v1/set-previews", nursery.batch(apple, TODAY, 1))
                        .expect(200)
                        .body()
                        .path("remarks")
                        .valueStream()
                        .filter(remark -> remark.path("key").asString().equals("WINDOW")))
                .singleElement()
                .satisfies(remark -> assertThat(
                                remark.path("level") + remark.path("sentence").asString())
                        .contains("WARN", "needs a winter"));
    }

    @Test
    void where_summers_are_hot_and_winters_cold_the_window_is_short_and_nothing_is_left_on() {
        site(edit -> {
            edit.put("latitude", 47).put("winterLowC", -24);
            edit.set("frosts", frosts(edit, "--10-12", "--09-25", "--04-22", "--05-12"));
            months(edit, "minC", -12, -10.5, -4.5, 4, 10.5, 15, 17.5, 16, 10, 3.5, -2.5, -9);
            months(edit, "maxC", -3.5, -1, 6, 17, 24, 29, 32.5, 31, 24.5, 15.5, 5.5, -1);
        });
        JsonNode quince = species(season("IN_LEAF"), "CYDOBL");
        assertThat(day(quince, "firstGood")).isBetween(LocalDate.of(2026, 4, 22), LocalDate.of(2026, 5, 15));
        assertThat(day(quince, "lastGood")).isBetween(LocalDate.of(2026, 5, 25), LocalDate.of(2026, 7, 10));
        // the field itself keeps its milder winter low: the tunnel and field of this nursery are its own places
        assertThat(classes(quince)).startsWith("CLOSED").contains("GOOD").endsWith("CLOSED");
    }

    @Test
    void south_of_the_line_the_year_begins_in_july_and_quinces_are_set_in_november() {
        site(edit -> {
            edit.put("latitude", -43);
            edit.set("frosts", frosts(edit, "--05-08", "--04-20", "--10-14", "--11-06"));
            months(edit, "minC", 12.2, 12.3, 10.6, 8.1, 5.1, 3.2, 2.6, 2.4, 3.3, 4.6, 7.3, 10.1);
            months(edit, "maxC", 20.8, 20.7, 18.3, 14.4, 10.6, 8.2, 7.6, 7.9, 10, 12.8, 16.1, 18.8);
        });
        JsonNode season = season("IN_LEAF");
        assertThat(season.path("from").asString()).isEqualTo("2026-07-01");
        JsonNode quince = species(season, "CYDOBL");
        assertThat(day(quince, "firstGood")).isBetween(LocalDate.of(2026, 10, 14), LocalDate.of(2026, 11, 20));
        assertThat(day(quince, "lastGood")).isBetween(LocalDate.of(2026, 12, 20), LocalDate.of(2027, 1, 31));
        assertThat(season.at("/frosts/firstEarly").asString()).isEqualTo("2027-04-20");
    }

    @Test
    void a_start_six_weeks_too_late_is_said_to_be_with_its_chance_its_reason_and_the_last_good_day() {
        LocalDate last = day(species(season("IN_LEAF"), "CYDOBL"), "lastGood");
        JsonNode late = start("CYDOBL", last.plusWeeks(6));
        assertThat(late.at("/window/windowClass").asString()).isIn("OVERWINTER", "CLOSED");
        assertThat(late.path("sentence").asString())
                .containsPattern(Said.by("window.lastGood"))
                .contains("%");
        assertThat(late.path("rules")
                        .valueStream()
                        .filter(rule -> rule.path("applied").asBoolean()))
                .hasSize(1);
        assertThat(late.path("otherwise").toString()).containsPattern(Said.by("otherwise.WAIT_FOR_WINDOW"));
    }

    @Test
    void every_start_date_has_its_spread_and_a_verdict_for_each_school() {
        JsonNode starts = nursery.viewer()
                .get("/api/v1/season/starts" + path("").substring("/api/v1/season".length()) + "&speciesCode=CYDOBL")
                .expect(200)
                .body();
        assertThat(starts.path("starts").size()).isEqualTo(365);
        JsonNode june = starts.at("/starts/"
                + java.time.temporal.ChronoUnit.DAYS.between(
                        LocalDate.parse(starts.path("from").asString()), LocalDate.of(2026, 6, 1)));
        assertThat(june.path("q10").asString()).isLessThan(june.path("q50").asString());
        assertThat(june.path("schools")
                        .valueStream()
                        .map(one -> one.path("school").asString()))
                .containsExactly("IN_LEAF", "DORMANT", "SPRING");
    }

    @Test
    void what_was_set_stands_on_the_strip_and_the_strip_costs_few_statements() {
        nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(20), 3);
        season("IN_LEAF");
        TestNursery.statements();
        JsonNode quince = species(season("IN_LEAF"), "CYDOBL");
        assertThat(TestNursery.statements()).isLessThanOrEqualTo(16);
        assertThat(quince.path("set").valueStream()).anySatisfy(one -> {
            assertThat(one.path("on").asString()).isEqualTo(TODAY.minusDays(20).toString());
            assertThat(one.path("layers").asInt()).isGreaterThanOrEqualTo(3);
        });
    }

    private JsonNode season(String school) {
        return nursery.viewer().get(path(school)).expect(200).body();
    }

    private String path(String school) {
        return "/api/v1/season?placeId=" + nursery.field() + "&recipeId=" + nursery.recipe()
                + (school.isEmpty() ? "" : "&school=" + school);
    }

    private JsonNode start(String species, LocalDate on) {
        return nursery.viewer()
                .get("/api/v1/season/start?placeId=" + nursery.field() + "&recipeId=" + nursery.recipe()
                        + "&speciesCode=" + species + "&startOn=" + on)
                .expect(200)
                .body();
    }

    private static JsonNode species(JsonNode season, String code) {
        return season.path("species")
                .valueStream()
                .filter(one -> one.path("code").asString().equals(code))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> classes(JsonNode species) {
        return species.path("bands")
                .valueStream()
                .map(band -> band.path("windowClass").asString())
                .toList();
    }

    private static LocalDate day(JsonNode species, String field) {
        return LocalDate.parse(species.path(field).asString());
    }

    private void site(Consumer<ObjectNode> change) {
        ObjectNode site = (ObjectNode) nursery.owner().get("/api/v1/site").body();
        siteBefore = site.deepCopy();
        change.accept(site);
        nursery.owner().put("/api/v1/site", site).expect(200);
    }

    private static void months(ObjectNode site, String field, double... values) {
        ArrayNode months = site.putArray(field);
        for (double value : values) {
            months.add(value);
        }
    }

    private static ObjectNode frosts(
            ObjectNode site, String firstAverage, String firstEarly, String lastAverage, String lastLate) {
        return site.objectNode()
                .put("firstAverage", firstAverage)
                .put("firstEarly", firstEarly)
                .put("lastAverage", lastAverage)
                .put("lastLate", lastLate);
    }
}
