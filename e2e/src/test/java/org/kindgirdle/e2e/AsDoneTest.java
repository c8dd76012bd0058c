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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.e2e.harness.Walker;
import tools.jackson.databind.JsonNode;

/** What was really done, and when it was. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AsDoneTest {

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
    void a_round_on_paper_is_typed_at_once_and_dated_as_it_was_walked() {
        List<String> codes = Walker.due(application, "QU-01", 22);
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/");
            visit.page().getByText("Type a round that was walked on paper").click();
            assertThat(visit.heading("A round on paper")).isVisible();
            visit.field("Walked on").fill("8/7");
            // the eighth of July or the seventh of August: one of them is too long ago to be meant
            assertThat(visit.see("read-day")).hasText("Wednesday 8 July 2026");
            for (String code : codes) {
                Locator row = row(visit, code);
                row.getByLabel("Seen").selectOption("CALLUS");
                row.getByLabel("Topped up").check();
            }
            row(visit, codes.get(0)).getByText("Nothing wrong").click();
            row(visit, codes.get(0))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Algae"))
                    .click();
            assertThat(visit.axe()).isEmpty();
            assertThat(visit.see("keep-paper")).hasText("Keep 44 records, dated Wednesday 8 July 2026");
            visit.tap("keep-paper");
            assertThat(visit.page().getByText("44 records kept, dated 8 July 2026."))
                    .isVisible();
            assertThat(visit.complaints()).isEmpty();
        }
        for (String code : codes) {
            JsonNode layer = layer(code);
            assertThat(layer.path("lookedOn").asString()).isEqualTo("2026-07-08");
            assertThat(layer.path("fillPercent").isNull()).isTrue();
            // the next look is reckoned from the day on which it was seen
            assertThat(layer.path("jobs").valueStream())
                    .filteredOn(job -> job.path("code").asString().equals("LOOK"))
                    .allMatch(job -> job.path("daysLate").asInt() == 0);
        }
    }

    @Test
    void what_was_done_yesterday_or_on_a_day_is_recorded_so_and_what_is_wrong_is_put_right() {
        String code = Walker.due(application, "QU-02", 1).get(0);
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.openLayer(code);
            visit.radio("Yesterday").click();
            assertThat(visit.see("dated")).hasText("It is dated Thursday 9 July 2026.");
            visit.radio("Callus").click();
            visit.tap("keep-look");
            Locator look = visit.page().locator("[data-kind=LOOKED]").first();
            assertThat(look).containsText("9 July");
            assertThat(look).not().containsText("full");
            visit.radio("Another day").click();
            visit.field("Which day").fill("3 days ago");
            assertThat(visit.see("dated")).containsText("Tuesday 7 July 2026");
            visit.radio("The wrap alone").click();
            visit.button("Wrap open").click();
            visit.radio("Birds").click();
            visit.tap("keep-look");
            assertThat(visit.page().locator("[data-kind=WRAP_SEEN]")).containsText("wrap open, opened by birds");
            // a setting field by field, and its day
            visit.page()
                    .locator("[data-kind=SET]")
                    .getByText("Correct", new Locator.GetByTextOptions().setExact(true))
                    .click();
            visit.field("Ring as cut").fill("38 mm");
            visit.field("It holds").fill("450 mL");
            visit.list("Tied with").selectOption(new SelectOption().setLabel("Zip ties"));
            visit.field("The day").fill("18 may");
            assertThat(visit.axe()).isEmpty();
            visit.tap("keep-setting");
            assertThat(visit.page().locator("[data-kind=SET][data-in-force=true]"))
                    .containsText(
                            Pattern.compile("18 May.*ring 38 mm, ball of 450 mL, tied with zip ties", Pattern.DOTALL));
        }
        JsonNode layer = layer(code);
        assertThat(layer.path("setOn").asString()).isEqualTo("2026-05-18");
        assertThat(layer.at("/drawing/ball/mediumMl").asDouble()).isEqualTo(450);
        assertThat(layer.at("/drawing/ringMm").asDouble()).isEqualTo(38);
    }

    @Test
    void a_branch_is_set_by_its_diameter_alone_and_nothing_else_is_said() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench");
            visit.pick("Mother", "MU-01");
            visit.field("Diameter").fill("12");
            assertThat(visit.field("Leaves").first()).hasAttribute("placeholder", "as 8");
            assertThat(visit.see("row-sums-0")).containsText("Ring");
            visit.tap("more-0");
            visit.field("It holds").fill("450 mL");
            visit.radio("Yesterday").click();
            assertThat(visit.see("row-sums-0")).containsText("450 mL");
            visit.giveReasonIfAsked("as it was");
            assertThat(visit.axe()).isEmpty();
            visit.tap("set");
            assertThat(visit.see("set-done")).containsText("One layer is set");
            String code = visit.see("set-done").locator("a:not(.btn)").first().innerText();
            visit.openLayer(code);
            assertThat(visit.see("unmeasured")).containsText("leaves beyond the ring (8)");
            JsonNode set = layer(code).at("/records/0");
            assertThat(set.path("on").asString()).isEqualTo("2026-07-09");
            for (String field : List.of("ringMm", "wood", "position", "leavesBeyond", "fromUnionMm", "leanDeg")) {
                assertThat(set.at("/details/" + field).isNull()).as(field).isTrue();
            }
        }
    }

    @Test
    void far_from_the_network_a_wrap_and_a_loss_in_words_are_taken_down_all_the_same() {
        List<String> codes = Walker.due(application, "MD-01", 2);
        try (Visit phone = Visit.touchPhone(application).signedInAs("ivo")) {
            phone.open("/?at=" + codes.get(0));
            assertThat(phone.radio("The wrap alone")).isVisible();
            phone.open("/?at=" + codes.get(1));
            assertThat(phone.radio("The wrap alone")).isVisible();
            phone.context().setOffline(true);
            phone.radio("Yesterday").tap();
            phone.radio("The wrap alone").tap();
            phone.button("Wrap open").tap();
            phone.radio("Squirrels").tap();
            phone.see("keep-look").tap();
            assertThat(phone.see("follows")).isVisible();
            phone.button("Record more here").tap();
            phone.button("Lost").tap();
            phone.pick("Why", "Something else");
            phone.field("What was it").fill("a mower");
            phone.see("keep-other").tap();
            assertThat(phone.see("follows")).isVisible();
            phone.context().setOffline(false);
            assertThat(phone.see("sync")).hasCount(0);
        }
        JsonNode layer = layer(codes.get(1));
        assertThat(layer.at("/advice/headline").asString()).contains("a mower");
        assertThat(layer.path("records")
                        .valueStream()
                        .filter(one -> one.path("kind").asString().equals("WRAP_SEEN"))
                        .map(one -> one.path("on").asString() + " "
                                + one.at("/details/openedBy").asString()))
                .containsExactly("2026-07-09 SQUIRRELS");
    }

    private static Locator row(Visit visit, String code) {
        return visit.page()
                .getByRole(
                        AriaRole.GROUP,
                        new com.microsoft.playwright.Page.GetByRoleOptions()
                                .setName(code)
                                .setExact(true));
    }

    private JsonNode layer(String code) {
        return application.api("ivo").get("/api/v1/layers/" + code).expect(200).body();
    }
}
