package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.e2e.harness.Walker;
import org.kindgirdle.server.harness.Client;
import tools.jackson.databind.JsonNode;

/** What do I do now, where, in what order? */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RoundTest {

    private static final int MAX_TAPS = 4;

    private RunningApplication application;

    @BeforeAll
    void start() {
        application = RunningApplication.demo();
    }

    @AfterAll
    void stop() {
        application.close();
    }

    @Test
    void twenty_layers_are_walked_with_four_taps_a_look() {
        List<String> codes = Walker.due(application, "QU-01", 20);
        try (Visit phone = Visit.touchPhone(application).signedInAs("ivo")) {
            Walker walker = new Walker(phone);
            phone.see("begin").tap();
            for (int i = 0; i < codes.size(); i++) {
                walker.toOneOf(codes);
                walker.look();
                // the next step and its date stand there at once
                assertThat(phone.see("advice")).containsText("Look again");
                assertThat(walker.next()).isLessThanOrEqualTo(MAX_TAPS);
            }
            assertThat(phone.complaints()).isEmpty();
        }
        for (String code : codes) {
            assertThat(looks(code)).singleElement().satisfies(look -> {
                assertThat(look.at("/details/stage").asString()).isEqualTo("CALLUS");
                assertThat(look.at("/details/fillPercent").asDouble()).isBetween(10.0, 20.0);
            });
        }
    }

    @Test
    void the_demos_troubles_come_up_with_what_is_to_be_done() {
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            visit.open("/");
            Locator walk = visit.see("place");
            assertThat(walk.first()).isVisible();
            assertThat(visit.see("job").filter(with("WJY-PD"))).containsText("wrap again");
            assertThat(visit.see("job").filter(with("WJY-PD"))).containsText("late");
            assertThat(visit.see("job").filter(with("Y7F-6X"))).containsText("soak");
            visit.see("job").filter(with("WJY-PD")).click();
            assertThat(visit.see("advice")).containsText("Wrap it again.");
            assertThat(visit.see("advice")).containsText("milky sap can irritate");
            assertThat(visit.axe()).isEmpty();
        }
    }

    /** Those that can wait are on a later round: none is forgotten. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            MU-01 | Wrap again | wrap it again
            FJ-02 | Soak       | soak the ball
            LQ-02 | Cover      | algae
            LQ-01 | Pot up     | pot it up
            SM-01 | Cut the bridge | bark has grown over the ring
            QU-01 | Prop       | prop
            QU-01 | Move back  | drooped on
            """)
    void every_trouble_of_the_demo_is_on_a_walk_with_its_reason(String mother, String label, String said) {
        Client pell = application.api("pell");
        JsonNode today = pell.get("/api/v1/round").body();
        List<JsonNode> jobs = new ArrayList<>(jobs(today));
        today.path("ahead")
                .forEach(day -> jobs.addAll(
                        jobs(pell.get("/api/v1/round?on=" + day.path("on").asString())
                                .body())));
        List<String> codes = jobs.stream()
                .filter(job -> job.path("mother").asString().equals(mother)
                        && (job.path("label").asString() + job.path("alsoDo")).contains(label))
                .map(job -> job.path("code").asString())
                .filter(code -> Pattern.compile(said, Pattern.CASE_INSENSITIVE)
                        .matcher(pell.get("/api/v1/layers/" + code).body().toString())
                        .find())
                .toList();
        assertThat(codes).as("%s on %s of %s", label, mother, jobs).isNotEmpty();
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            visit.open("/?at=" + codes.get(0));
            assertThat(visit.page().getByRole(AriaRole.ARTICLE))
                    .containsText(Pattern.compile(said, Pattern.CASE_INSENSITIVE));
        }
    }

    @Test
    void what_was_set_too_late_says_so_though_there_is_nothing_to_do_yet() {
        String code = application
                .api("pell")
                .get("/api/v1/layers?q=MD-01")
                .body()
                .path("layers")
                .valueStream()
                .filter(layer -> layer.path("setOn").asString().equals("2026-07-08"))
                .findFirst()
                .orElseThrow()
                .path("code")
                .asString();
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            visit.open("/layers/" + code);
            assertThat(visit.see("advice")).containsText("too late for this season: of those that root, ");
            assertThat(visit.see("advice")).containsText("stands the winter on its mother");
            assertThat(visit.see("dates")).containsText("8 September, when it should be:");
            assertThat(visit.axe()).isEmpty();
        }
    }

    private static List<JsonNode> jobs(JsonNode round) {
        return round.path("places")
                .valueStream()
                .flatMap(place -> place.path("jobs").valueStream())
                .toList();
    }

    @Test
    void what_is_put_off_comes_back_on_its_day_and_another_can_be_done_though_it_is_not_due() {
        String code = Walker.due(application, "QU-02", 1).get(0);
        try (Visit phone = Visit.touchPhone(application).signedInAs("maren")) {
            phone.see("job").filter(with(code)).tap();
            phone.button("Later").tap();
            assertThat(phone.see("too-late")).containsText("on your word");
            assertThat(phone.axe()).isEmpty();
            phone.page().locator("[data-day='2026-07-14']").tap();
            assertThat(phone.see("kept")).containsText("Put off: kept.");
            phone.open("/");
            assertThat(phone.see("place").first()).isVisible();
            assertThat(phone.see("job").filter(with(code))).hasCount(0);
            phone.see("ahead").filter(with("Tuesday 14 July")).tap();
            assertThat(phone.see("job").filter(with(code))).hasCount(1);

            phone.open("/");
            phone.page()
                    .getByLabel("Another layer, though it is not due")
                    .fill(code.replace("-", "").toLowerCase());
            phone.button("Open").tap();
            phone.radio("Callus").tap();
            phone.see("keep-look").tap();
            assertThat(phone.see("kept")).containsText("Look: kept.");
            phone.button("Undo").tap();
            assertThat(phone.radio("None")).isChecked();
        }
    }

    @Test
    void all_at_one_place_are_topped_up_at_once() {
        List<String> codes = Walker.due(application, "MU-01", 3);
        codes.forEach(code -> application
                .api("ivo")
                .post(
                        "/api/v1/layers/" + code + "/records",
                        Map.of(
                                "kind", "LOOKED",
                                "occurredAt", "2026-06-20T09:00:00Z",
                                "details",
                                        Map.of(
                                                "stage",
                                                "NONE",
                                                "sectors",
                                                List.of(0, 0, 0, 0, 0, 0, 0, 0),
                                                "fillPercent",
                                                0,
                                                "conditions",
                                                List.of("DRY"))))
                .expect(201));
        try (Visit phone = Visit.touchPhone(application).signedInAs("ivo")) {
            Locator all = phone.see("all-REWET").first();
            all.tap();
            phone.see("record-all").tap();
            assertThat(phone.see("toast").last()).containsText("layers: kept");
            for (String code : codes) {
                assertThat(phone.see("job").filter(with(code))).hasCount(0);
            }
        }
    }

    @Test
    void two_people_on_one_round_see_each_other_and_both_looks_are_kept() {
        List<String> codes = Walker.due(application, "QU-02", 2);
        try (Visit maren = Visit.touchPhone(application).signedInAs("maren");
                Visit ivo = Visit.touchPhone(application).signedInAs("ivo")) {
            maren.see("job").filter(with(codes.get(0))).tap();
            assertThat(maren.radio("Callus")).isVisible();
            assertThat(ivo.see("job").filter(with(codes.get(1)))).isVisible();
            ivo.see("job").filter(with(codes.get(0))).tap();
            ivo.radio("Callus").tap();
            ivo.see("keep-look").tap();
            assertThat(ivo.see("kept")).isVisible();

            assertThat(maren.see("news")).containsText("Ivo Sandmoor looked at " + codes.get(0));
            maren.radio("First tips").tap();
            maren.see("keep-look").tap();
            assertThat(maren.see("kept")).isVisible();
            assertThat(looks(codes.get(0))).hasSize(2);

            // the look is off the other's list too; the water it wants is not
            ivo.button("The list").tap();
            assertThat(ivo.see("job").filter(with(codes.get(0))).filter(with("look")))
                    .hasCount(0);
            assertThat(ivo.see("job").filter(with(codes.get(1)))).hasCount(1);
        }
    }

    private static Locator.FilterOptions with(String text) {
        return new Locator.FilterOptions().setHasText(text);
    }

    private List<JsonNode> looks(String code) {
        return application
                .api("pell")
                .get("/api/v1/layers/" + code)
                .body()
                .path("records")
                .valueStream()
                .filter(one -> one.path("kind").asString().equals("LOOKED")
                        && one.path("inForce").asBoolean())
                .toList();
    }
}
