package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import tools.jackson.databind.JsonNode;

/** Forty an hour: the bench at the pace of the hands. */
class BenchTest {

    private static final String BATCHES = "**/api/v1/batches";

    private final RunningApplication application = RunningApplication.sharedDemo();

    /** A person at the keys: every stroke that is no character of a value is counted. */
    private static final class Typist {
        private final Keyboard keys;
        private int strokes;
        private int fields;

        Typist(Visit visit) {
            this.keys = visit.page().keyboard();
        }

        void type(String value) {
            keys.type(value);
            fields++;
        }

        void press(String key) {
            keys.press(key);
            strokes++;
        }
    }

    @Test
    void forty_layers_on_four_mothers_are_set_with_the_keyboard_alone() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench");
            Typist typist = new Typist(visit);
            Set<String> codes = new TreeSet<>();
            for (String mother : List.of("QU-01", "QU-02", "MU-01", "MD-01")) {
                visit.list("Mother").focus();
                typist.type(mother);
                assertThat(visit.page().getByRole(AriaRole.LISTBOX)).containsText(mother);
                typist.press("Enter");
                assertThat(visit.list("Mother")).hasValue(Pattern.compile("^" + mother));
                visit.field("Diameter").first().focus();
                for (int row = 0; row < 10; row++) {
                    typist.type((12 + row) + (row % 2 == 0 ? "" : " mm"));
                    typist.press("Tab");
                    // wood and cut as in the row before
                    typist.press("Tab");
                    typist.press("Tab");
                    typist.type(String.valueOf(6 + row));
                    typist.press("Tab");
                    typist.type(String.valueOf(300 + 20 * row));
                    typist.press("Tab");
                    typist.type(String.valueOf(10 + row));
                    if (row < 9) {
                        typist.press("Enter");
                    }
                }
                assertThat(visit.page().locator("[data-row]")).hasCount(10);
                assertThat(visit.see("row-sums-9")).containsText("Ring");
                assertThat(visit.see("remarks")).isVisible();
                visit.giveReasonIfAsked("counted by the test");
                visit.field("Lean").last().focus();
                typist.press("Control+Enter");
                assertThat(visit.see("set-done")).containsText("10 layers are set");
                codes.addAll(visit.see("set-done").locator("a:not(.btn)").allInnerTexts());
            }
            assertThat(codes).hasSize(40);
            // the characters of the values aside, at most three strokes a field
            assertThat(typist.strokes).isLessThanOrEqualTo(3 * typist.fields);
            JsonNode last = application
                    .api("ivo")
                    .get("/api/v1/layers/" + codes.iterator().next())
                    .body();
            assertThat(last.at("/drawing/leavesBeyond").asInt()).isBetween(6, 15);
        }
    }

    @Test
    void same_again_times_twenty_five_takes_few_strokes() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench?mother=5");
            visit.field("Diameter").fill("16");
            visit.field("Lean").last().focus();
            Typist typist = new Typist(visit);
            // past the ring, the button that takes the row away and what is rarely said, to the number
            typist.press("Tab");
            typist.press("Tab");
            typist.press("Tab");
            typist.press("Tab");
            typist.press("2");
            typist.press("5");
            typist.press("Enter");
            assertThat(visit.page().locator("[data-row]")).hasCount(26);
            assertThat(visit.field("Diameter").last()).hasValue("16");
            assertThat(visit.field("Diameter").last()).isFocused();
            assertThat(typist.strokes).isLessThan(10);
        }
    }

    @Test
    void a_sheet_is_pasted_and_a_bad_row_keeps_what_was_typed_while_the_others_are_reckoned() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench?mother=4");
            visit.context().grantPermissions(List.of("clipboard-read", "clipboard-write"));
            Locator first = visit.field("Diameter").first();
            first.focus();
            visit.page()
                    .evaluate(
                            "() => navigator.clipboard.writeText('18\\t3-4\\n3/4 in\\tsoft\\nthick\\told\\n20 mm\\tmossy')");
            visit.page().keyboard().press("Control+v");
            assertThat(visit.page().locator("[data-row]")).hasCount(4);
            assertThat(visit.field("Diameter").nth(1)).hasValue("3/4 in");
            assertThat(visit.page().locator("[data-cell='0-wood']")).hasValue("THREE_FOUR");
            assertThat(visit.see("row-sums-0")).containsText("Ring 34 mm");
            assertThat(visit.see("row-sums-1")).isVisible();
            assertThat(visit.see("row-sums-2")).hasCount(0);
            assertThat(visit.page().locator("[data-row]").nth(2).locator("[role=alert]"))
                    .isVisible();
            assertThat(visit.page().locator("[data-row]").nth(3).locator("[role=alert]"))
                    .isVisible();
            assertThat(visit.page().locator("[data-cell='3-wood']")).hasValue("mossy");
            assertThat(visit.see("set")).isDisabled();

            // what is typed outlives a reload; the two are mended, and one cell is written into all under it
            visit.page().reload();
            assertThat(visit.field("Diameter").nth(2)).hasValue("thick");
            visit.field("Diameter").nth(2).fill("19");
            visit.page().locator("[data-cell='0-wood']").focus();
            visit.page().keyboard().press("Control+d");
            assertThat(visit.page().locator("[data-cell='3-wood']")).hasValue("THREE_FOUR");
            visit.field("Leaves").first().focus();
            visit.page().keyboard().press("ArrowDown");
            assertThat(visit.field("Leaves").nth(1)).isFocused();
            assertThat(visit.see("set")).isEnabled();
            for (int row = 3; row > 0; row--) {
                visit.button("Remove branch " + (row + 1)).click();
            }
        }
    }

    @Test
    void a_batch_whose_answer_is_lost_goes_again_by_itself_and_is_set_once() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench?mother=2");
            List<String> sent = new ArrayList<>();
            // the first reaches the server, and its answer is lost on the way back
            visit.page().route(BATCHES, route -> {
                sent.add(route.request().headerValue("Command-Id"));
                if (sent.size() == 1) {
                    route.fetch();
                    route.abort();
                } else {
                    route.resume(new Route.ResumeOptions());
                }
            });
            visit.field("Diameter").fill("17");
            assertThat(visit.see("remarks")).isVisible();
            visit.giveReasonIfAsked("counted by the test");
            long before = layersOn("QU-02");
            visit.tap("set");
            assertThat(visit.see("waiting")).containsText("One layer on QU-02");
            visit.page().evaluate("() => window.dispatchEvent(new Event('online'))");
            assertThat(visit.see("set-done")).containsText("One layer is set");
            assertThat(visit.see("waiting")).hasCount(0);
            assertThat(sent).hasSize(2);
            assertThat(sent.get(1)).isEqualTo(sent.get(0));
            assertThat(layersOn("QU-02")).isEqualTo(before + 1);
        }
    }

    @Test
    void a_tip_that_is_laid_down_takes_the_load_off_and_is_kept_with_the_layer() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench");
            // no other test of this demo counts the room on it
            visit.pick("Mother", "KA-01");
            visit.field("Diameter").fill("15");
            visit.field("Lean").fill("85");
            visit.field("To union").fill("1100");
            assertThat(visit.see("relief")).isVisible();
            visit.radio("Its tip rests on straw, a bench or the ground").click();
            visit.giveReasonIfAsked("counted by the test");
            visit.tap("set");
            assertThat(visit.see("set-done")).containsText("One layer is set");
            visit.see("set-done").locator("a").first().click();
            assertThat(visit.see("records")).containsText("Laid its tip to rest");
            assertThat(visit.see("also-PROP")).hasCount(0);
        }
    }

    private long layersOn(String mother) {
        return application
                .api("ivo")
                .get("/api/v1/stock")
                .body()
                .valueStream()
                .filter(line -> line.at("/mother/code").asString().equals(mother))
                .mapToLong(line -> line.path("underRings").asLong())
                .sum();
    }
}
