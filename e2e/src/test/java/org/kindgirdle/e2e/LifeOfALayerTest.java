package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestMethodOrder;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import tools.jackson.databind.JsonNode;

/** A grower takes layers from the mother to release; each step builds on the one before, as the season does. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class LifeOfALayerTest {

    private RunningApplication application;
    private Visit visit;
    private List<String> codes = List.of();

    @BeforeAll
    void comeIn() {
        application = RunningApplication.demo();
        visit = Visit.desk(application).signedInAs("ivo");
    }

    @AfterAll
    void leave() {
        visit.close();
        application.close();
    }

    @Test
    @Order(1)
    void three_layers_are_set_at_the_bench() {
        visit.open("/bench");
        visit.pick("Mother", "FJ-01");
        visit.pick("Recipe", "Moss and foil");
        Locator diameter = visit.field("Diameter");
        diameter.first().fill("3/4 in");
        // the sums stand there before anything is saved
        assertThat(visit.see("sums")).containsText("29 mm");
        visit.see("same-count").fill("1");
        visit.tap("same-again");
        assertThat(diameter).hasCount(2);
        diameter.nth(1).press("Enter");
        assertThat(diameter).hasCount(3);
        assertThat(visit.see("remarks")).isVisible();
        visit.giveReasonIfAsked("The tunnel is warm until November.");
        visit.button("Set these 3 layers").click();
        assertThat(visit.see("set-done")).containsText("3 layers are set");
        codes = visit.see("set-done").locator("a:not(.btn)").allInnerTexts();

        assertThat(codes).hasSize(3).allMatch(code -> code.matches("[2-9A-Z]{3}-[2-9A-Z]{2}"));
        JsonNode drawing = layer(codes.get(0)).path("drawing");
        assertThat(drawing.path("ball").path("diameterMm").asDouble()).isEqualTo(19.05);
    }

    @Test
    @Order(2)
    void looks_are_recorded_until_the_next_step_changes() {
        visit.openLayer(first());
        String before = advice().innerText();
        visit.later("2026-08-07");
        visit.radio("Callus").click();
        visit.tap("keep-look");
        assertThat(visit.see("toast")).containsText("kept");
        assertThat(records("LOOKED")).hasCount(1);
        String dates = visit.see("dates").innerText();

        visit.later("2026-09-18");
        visit.radio("Filled").click();
        for (Locator sector : visit.page().locator("[data-sector]").all()) {
            sector.click();
            sector.click();
        }
        visit.field("How full").fill("95");
        visit.tap("keep-look");
        assertThat(records("LOOKED")).hasCount(2);

        assertThat(visit.see("dates").innerText()).isNotEqualTo(dates);
        assertThat(advice().innerText()).isNotEqualTo(before);
        assertThat(layer(first()).path("advice").path("step").asString()).startsWith("SEVER");
        assertThat(visit.see("do-step")).hasText("Record the severing");
    }

    /** On 18 September, nine weeks after the last good day. */
    @Test
    @Order(3)
    void a_start_that_is_too_late_is_said_with_its_chance_and_the_last_good_day_and_wants_a_reason_that_stays() {
        visit.open("/bench");
        visit.pick("Mother", "QU-02");
        visit.field("Diameter").fill("15");
        Locator late = visit.see("remarks").locator("[data-level=WARN]", withText("too late"));
        assertThat(late).containsText(Pattern.compile("\\d+ in 100"));
        assertThat(late).containsText("The last good day is");
        visit.tap("set");
        assertThat(visit.see("problem")).containsText("Too late for this year");
        visit.see("reason").fill("the wall holds the warmth");
        visit.tap("set");
        assertThat(visit.see("set-done")).containsText("One layer is set");
        visit.see("set-done").locator("a").first().click();
        assertThat(visit.page().getByText("the wall holds the warmth")).isVisible();

        visit.open("/bench");
        visit.pick("Mother", "QU-03");
        visit.field("Diameter").fill("15");
        assertThat(visit.see("remarks").locator("[data-level=BLOCK]")).containsText("sick");
        assertThat(visit.see("set")).isDisabled();
        // nobody sets it until the fact that was recorded changes
        visit.open("/stock/3");
        visit.tap("edit-mother");
        visit.radio("No").first().click();
        visit.tap("save-mother");
        assertThat(visit.see("room")).containsText("Room for");
        visit.open("/bench");
        visit.pick("Mother", "QU-03");
        visit.field("Diameter").fill("15");
        assertThat(visit.see("remarks").locator("[data-level=WARN]").first()).isVisible();
        assertThat(visit.see("set")).isEnabled();
        visit.field("Diameter").fill("");
    }

    private static Locator.LocatorOptions withText(String text) {
        return new Locator.LocatorOptions().setHasText(Pattern.compile(text, Pattern.CASE_INSENSITIVE));
    }

    @Test
    @Order(4)
    void a_record_is_taken_back_and_stays_to_be_seen() {
        visit.openLayer(first());
        visit.button("Take back: Look, 18 September").click();
        assertThat(visit.see("toast")).containsText("Taken back");
        assertThat(visit.page().locator("[data-kind=LOOKED][data-in-force=false]"))
                .hasCount(1);
        JsonNode layer = layer(first());
        assertThat(layer.path("stage").asString()).isEqualTo("CALLUS");
        assertThat(layer.path("records").size()).isEqualTo(4);

        // the same look once more, and taken back from the toast this time
        visit.radio("Rooted").click();
        visit.tap("keep-look");
        visit.button("Undo").click();
        assertThat(visit.see("toast").last()).containsText("Taken back");
        assertThat(layer(first()).path("stage").asString()).isEqualTo("CALLUS");
    }

    @Test
    @Order(5)
    void it_is_severed_potted_and_moved_up_the_ladder() {
        visit.openLayer(first());
        visit.radio("Filled").click();
        for (Locator sector : visit.page().locator("[data-sector]").all()) {
            sector.click();
            sector.click();
        }
        visit.tap("keep-look");
        visit.tap("do-step");
        visit.field("Leaves on it").fill("12");
        Locator leaves = visit.page().locator("[data-part=leaf]");
        assertThat(leaves).hasCount(12);
        for (int i = 0; i < 6; i++) {
            while (!"off".equals(leaves.nth(i).getAttribute("data-state"))) {
                leaves.nth(i).press("Enter");
            }
        }
        for (int i = 6; i < 12; i++) {
            while (!"on".equals(leaves.nth(i).getAttribute("data-state"))) {
                leaves.nth(i).press("Enter");
            }
        }
        visit.tap("keep-other");
        assertThat(records("SEVERED")).containsText("6 of 12 leaves left on");

        assertThat(visit.see("pot-advice")).containsText("the smallest that leaves room");
        visit.page().locator("[data-choice='3 L']").click();
        visit.tap("pot");
        assertThat(records("POTTED")).containsText("light mix, 3 L");
        assertThat(layer(first()).path("phase").asString()).isEqualTo("POTTED");

        visit.later("2026-10-02");
        // a plant that stands well is seen so before it may move
        visit.button("Stands well").click();
        visit.tap("observe");
        assertThat(records("OBSERVED")).hasCount(1);
        for (String rung : List.of("shade", "half shade", "light shade", "open")) {
            Locator up = visit.see("step-up");
            assertThat(up).hasText(Pattern.compile(rung, Pattern.CASE_INSENSITIVE));
            up.click();
            assertThat(visit.page().locator("[aria-current=step]"))
                    .hasText(Pattern.compile(rung, Pattern.CASE_INSENSITIVE));
        }
        assertThat(visit.see("step-up")).hasCount(0);
    }

    @Test
    @Order(6)
    void it_is_released_and_nothing_is_left_to_do() {
        visit.later("2027-05-14");
        visit.openLayer(first());
        visit.button("New growth").click();
        visit.button("Roots at the edge").click();
        visit.tap("observe");
        assertThat(advice()).containsText(Pattern.compile("release", Pattern.CASE_INSENSITIVE));
        visit.radio("Own mother stock").click();
        visit.field("Its code as a mother").fill("QU-09");
        // nobody counts for whoever raises her
        visit.field("Leafy shoots").fill("3");
        visit.tap("release");
        // it is a mother now, with its line
        assertThat(visit.heading("QU-09")).isVisible();
        assertThat(visit.see("pedigree")).containsText(first());
        visit.openLayer(first());
        assertThat(records("RELEASED")).containsText("to mother stock");
        JsonNode layer = layer(first());
        assertThat(layer.path("phase").asString()).isEqualTo("RELEASED");
        assertThat(layer.path("jobs").size()).isZero();
    }

    @Test
    @Order(6)
    void leaves_that_are_out_are_said_on_the_walk_and_can_be_taken_back_in_house() {
        visit.later("2027-05-14");
        visit.open("/");
        Locator asked = visit.see("leaves").getByRole(AriaRole.BUTTON);
        visit.see("leaves").getByText("On the way").click();
        assertThat(visit.see("leaves")).containsText("are its leaves out? Expected about");
        int before = asked.count();
        // said with no network, it goes when there is one
        visit.page().context().setOffline(true);
        asked.first().click();
        assertThat(asked).hasCount(before - 1);
        visit.page()
                .waitForResponse(
                        "**/api/v1/leaf-records", () -> visit.page().context().setOffline(false));
        visit.open("/house");
        Locator seasons = visit.see("leaf-seasons");
        assertThat(seasons).containsText("14 May, seen by Ivo");
        assertThat(visit.axe()).isEmpty();
        seasons.getByText("Take back").first().click();
        assertThat(seasons).not().containsText("seen by");
        // another day, typed where nobody walks
        seasons.getByText("Record what was seen").click();
        visit.list("Of").selectOption(new SelectOption().setIndex(0));
        seasons.getByPlaceholder("as 10 jul").fill("2027-05-20");
        visit.tap("keep-leaf");
        assertThat(visit.see("problem")).containsText("Only what was seen is recorded");
        seasons.getByPlaceholder("as 10 jul").fill("2027-05-03");
        visit.tap("keep-leaf");
        assertThat(seasons).containsText("3 May, seen by Ivo");
    }

    @Test
    @Order(7)
    void every_other_work_can_be_recorded_and_a_loss_has_its_cause() {
        visit.openLayer(codes.get(1));
        visit.button("Top up").click();
        visit.field("Water").fill("4 fl oz");
        visit.tap("keep-other");
        assertThat(records("TOPPED_UP")).containsText("118 mL");
        visit.button("Ring again").click();
        visit.tap("keep-other");
        assertThat(records("RERUNG")).hasCount(1);
        visit.button("Other work").click();
        List<String> works = visit.list("Work").locator("option").allInnerTexts();
        visit.button("Back").click();
        for (String work : works) {
            visit.button("Other work").click();
            visit.list("Work").selectOption(new SelectOption().setLabel(work));
            visit.tap("keep-other");
            assertThat(visit.see("keep-other")).hasCount(0);
        }
        assertThat(records("TENDED")).hasCount(works.size());

        visit.openLayer(codes.get(2));
        visit.button("Lost").click();
        visit.pick("Why", "Animals");
        visit.tap("keep-other");
        assertThat(records("LOST")).containsText("animals");
        assertThat(layer(codes.get(2)).path("phase").asString()).isEqualTo("LOST");
    }

    @Test
    @Order(8)
    void everything_is_there_after_a_restart() {
        List<JsonNode> before = codes.stream().map(this::layer).toList();
        application.stop();
        application.start();
        assertThat(codes.stream().map(this::layer).toList()).isEqualTo(before);
        visit.openLayer(first());
        assertThat(records("RELEASED")).hasCount(1);
        assertThat(visit.requestsElsewhere()).isEmpty();
    }

    private String first() {
        return codes.get(0);
    }

    private Locator advice() {
        return visit.see("advice");
    }

    private Locator records(String kind) {
        return visit.page().locator("[data-kind=" + kind + "]");
    }

    private JsonNode layer(String code) {
        return application.api("ivo").get("/api/v1/layers/" + code).expect(200).body();
    }
}
