package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Predicate;
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
import org.kindgirdle.e2e.harness.Walker;
import tools.jackson.databind.JsonNode;

/** The potting shed, from the cut to the release, as the demo's year goes by. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ShedTest {

    private static final String COOL_DAY = "2026-09-22";
    private static final String LATE = "2026-10-06";
    private static final String WINTER = "2026-12-10";

    private RunningApplication application;
    private Visit visit;
    private String ripe = "";
    private String outside = "";

    @BeforeAll
    void begin() {
        application = RunningApplication.demo();
        visit = Visit.desk(application).signedInAs("maren");
        ripe = find(one -> one.path("group").asString().equals("CUT")
                        && one.path("first").isEmpty())
                .path("code")
                .asString();
        // the one that stands nearest the tip of the water shoot
        outside = find(one -> one.path("limb").asString().equals("Water shoot"))
                .path("first")
                .get(0)
                .asString();
        // one in the walled garden is full as well
        record(
                outside,
                "LOOKED",
                Map.of(
                        "stage",
                        "FILLED",
                        "sectors",
                        List.of(3, 3, 3, 3, 3, 3, 3, 3),
                        "fillPercent",
                        100,
                        "conditions",
                        List.of()));
    }

    @AfterAll
    void end() {
        visit.close();
        application.close();
    }

    @Test
    @Order(1)
    void what_droops_is_stepped_back_with_a_quarter_of_its_leaf_off_and_the_others_wait() {
        visit.open("/shed/ladder");
        assertThat(visit.see("ladder-sum")).containsText("1 must step back");
        Locator droops = visit.see("on-ladder").filter(with("droops")).first();
        assertThat(droops).containsText("move it back to the closed tent, and take 25% of its leaf area off");
        droops.getByText("Moved back to tent").click();
        assertThat(visit.see("ladder-sum")).containsText("0 must step back");

        // seen in a tap, on whichever stands first
        Locator row =
                visit.see("on-ladder").filter(with("Leave it where it is")).first();
        String code = row.getAttribute("data-code");
        row.getByText("Seen", new Locator.GetByTextOptions().setExact(true)).click();
        row.getByText("New growth").click();
        assertThat(visit.see("on-ladder").filter(with(code))).containsText("new growth");

        Locator sheds = visit.see("on-ladder").filter(with(code));
        sheds.getByText("Seen", new Locator.GetByTextOptions().setExact(true)).click();
        sheds.getByText("Drops leaves").click();
        assertThat(sheds).containsText("It dropped leaf on 10 July");
        assertThat(sheds).containsText("5 days without leaf drop");

        // to another place with the ticks, and another way up on its own page
        sheds.getByRole(AriaRole.CHECKBOX).check();
        visit.radio("Tent").click();
        visit.pick("Stands in", "Tunnel 2");
        visit.tap("move-ticked");
        assertThat(visit.see("on-ladder").filter(with(code))).containsText("Tunnel 2");
        assertThat(visit.axe()).isEmpty();
        visit.open("/layers/" + code);
        visit.radio("Long shade").click();
        visit.tap("go-on");
        assertThat(visit.page().locator("[data-kind=MOVED]").first()).containsText("aftercare: long shade");
        assertThat(visit.axe()).isEmpty();
    }

    @Test
    @Order(2)
    void leaves_are_taken_off_one_by_one_and_a_tent_carries_more_than_the_open() {
        visit.open("/shed");
        assertThat(visit.see("shed-sum")).containsText("to be cut");
        // a full ball is seen before it is read
        assertThat(card(ripe).locator("[data-part=roots]")).isVisible();
        card(ripe).getByText("Leaf and cut").click();
        visit.field("Leaves on it").fill("60");
        Locator fraction = visit.see("top-over-bottom");
        assertThat(visit.see("leaf-instruction")).containsText("60 on");
        int inTent = bottom();
        assertThat(fraction).hasText(inTent + " on " + inTent);
        visit.button("Leave all on").click();
        assertThat(visit.see("balance-verdict")).containsText("too many: it will wilt");
        Locator lowest = visit.page().locator("[data-part=leaf]").first();
        lowest.click();
        assertThat(lowest).hasAttribute("data-state", "half");
        lowest.press("Enter");
        assertThat(lowest).hasAttribute("data-state", "off");
        // sixty are drawn as fifteen: one of them stands for four
        assertThat(fraction).hasText("56 on " + inTent);

        visit.field("Leaves on it").fill("a lot");
        visit.tap("keep-other");
        assertThat(visit.page().getByRole(AriaRole.ALERT).filter(with("a lot")).first())
                .isVisible();
        assertThat(visit.field("Leaves on it")).hasValue("a lot");
        visit.field("Leaves on it").fill("60");
        assertThat(visit.see("leaf-instruction")).containsText("60 on");

        visit.page().getByText(Pattern.compile("^Open sun: carries")).click();
        assertThat(visit.see("leaf-instruction")).not().containsText("60 on " + inTent);
        assertThat(bottom()).isLessThan(inTent);
        assertThat(visit.axe()).isEmpty();
    }

    @Test
    @Order(3)
    void a_cut_is_planned_onto_a_day_and_stands_in_its_round() {
        visit.open("/shed");
        Locator thursday = card(ripe).locator("[data-day='2026-07-16']");
        thursday.click();
        assertThat(thursday).hasAttribute("aria-pressed", "true");
        assertThat(visit.see("planned")).containsText("16 July: " + ripe);
        JsonNode round =
                application.api("pell").get("/api/v1/round?on=2026-07-14").body();
        assertThat(round.toString()
                        + application
                                .api("pell")
                                .get("/api/v1/round?on=2026-07-16")
                                .body())
                .contains(ripe);
        thursday.click();
        assertThat(visit.see("planned")).hasCount(0);
    }

    @Test
    @Order(4)
    void a_hot_week_and_a_cool_one_give_other_days_and_other_leaves() {
        visit.open("/layers/" + ripe + "?do=SEVERED");
        visit.field("Leaves on it").fill("300");
        assertThat(visit.see("leaf-instruction")).containsText("300 on");
        int hot = bottom();
        List<String> hotDays = days();
        assertThat(hotDays).anyMatch(day -> day.contains("no,"));
        assertThat(visit.see("day-said")).not().isEmpty();

        visit.later(COOL_DAY);
        visit.open("/layers/" + ripe + "?do=SEVERED");
        visit.field("Leaves on it").fill("300");
        assertThat(visit.see("leaf-instruction")).containsText("300 on");
        assertThat(bottom()).isGreaterThan(hot);
        assertThat(days()).isNotEqualTo(hotDays).noneMatch(day -> day.contains("no,"));
    }

    @Test
    @Order(5)
    void late_in_the_season_the_advice_turns_with_its_date() {
        visit.later(LATE);
        visit.open("/shed");
        Locator card = card(outside);
        assertThat(card.getByTestId("headline")).containsText("frost-free cover");
        assertThat(card.getByTestId("changed"))
                .hasText(Pattern.compile("Since \\d+ September the advice is: sever it to frost-free cover\\..*"));
        assertThat(card).containsText("days to the early first frost");
        assertThat(card).containsText("There is a frost-free place to take it to.");
        assertThat(visit.axe()).isEmpty();
    }

    @Test
    @Order(6)
    void a_dormant_one_needs_no_leaf_taken_and_is_potted_for_the_winter() {
        visit.later(WINTER);
        visit.open("/layers/" + outside + "?do=SEVERED");
        assertThat(visit.see("leaf-instruction")).hasText("No leaves on it: nothing to take off.");
        visit.pick("At", "Tunnel 2");
        visit.tap("keep-other");
        assertThat(visit.page().locator("[data-kind=SEVERED]")).containsText("closed tent");
        visit.open("/shed/pot");
        assertThat(visit.see("to-pot").filter(with(outside))).containsText("severed, not in a pot yet");
        assertThat(visit.see("mix")).containsText("Perlite");
        assertThat(visit.axe()).isEmpty();
        visit.see("to-pot").filter(with(outside)).getByText("Pot it").click();
        assertThat(visit.see("pot-advice")).containsText("the smallest that leaves room");
        assertThat(visit.radio("Dormant till bud break")).hasAttribute("aria-checked", "true");
        visit.radio("Garden soil").click();
        assertThat(visit.see("medium-advice")).isVisible();
        visit.radio("Light mix").click();
        visit.tap("pot");
        assertThat(visit.see("advice")).containsText("barely moist until bud break");
    }

    @Test
    @Order(7)
    void a_plant_that_fails_the_test_goes_only_with_a_reason_and_has_its_papers() {
        visit.open("/layers/" + outside);
        assertThat(visit.see("release-test")).containsText("It does not stand in the open yet.");
        visit.radio("Sale").click();
        visit.tap("release");
        assertThat(visit.page().getByRole(AriaRole.ALERT).first()).containsText("say why");
        visit.field("It goes all the same, because").fill("Given to a neighbour");
        visit.tap("release");
        assertThat(visit.page().locator("[data-kind=RELEASED]")).containsText("Given to a neighbour");
        visit.open("/layers/" + outside + "/papers");
        assertThat(visit.heading(outside)).isVisible();
        assertThat(visit.page().getByText("Cydonia oblonga")).isVisible();
        assertThat(visit.page().getByText("Severed without leaves")).isVisible();
        assertThat(visit.axe()).isEmpty();
    }

    @Test
    @Order(8)
    void three_generations_of_mothers_stand_in_one_line() {
        raised("QU-02", "QU-21");
        long granddaughter = raised("QU-21", "QU-22");
        visit.open("/stock/" + granddaughter);
        assertThat(visit.see("pedigree")).containsText("3 generations of mothers are on record");
        assertThat(visit.see("pedigree")).containsText("QU-21");
        assertThat(visit.axe()).isEmpty();
        visit.see("pedigree").getByText("QU-02").first().click();
        assertThat(visit.heading("QU-02")).isVisible();
        assertThat(visit.see("pedigree")).containsText("QU-22");
        visit.page().getByText("All layers of its line").click();
        assertThat(visit.heading("Layers")).isVisible();
        assertThat(visit.page().getByText("QU-21").first()).isVisible();
    }

    /** A layer of a mother is set, severed, potted and made a mother. */
    private long raised(String mother, String code) {
        String layer = Walker.due(application, mother, 1).get(0);
        record(layer, "SEVERED", Map.of("leavesBefore", 0, "leavesLeft", 0));
        record(layer, "POTTED", Map.of("medium", "LIGHT_MIX", "potMl", 2000));
        return application
                .api("maren")
                .post(
                        "/api/v1/layers/" + layer + "/mother",
                        UUID.randomUUID(),
                        Map.of(
                                "code",
                                code,
                                "placeId",
                                1,
                                "rootRun",
                                "GROUND",
                                "leafyShoots",
                                60,
                                "reason",
                                "wanted as a mother"))
                .expect(201)
                .body()
                .path("id")
                .asLong();
    }

    private static Locator.FilterOptions with(String text) {
        return new Locator.FilterOptions().setHasText(text);
    }

    private Locator card(String code) {
        return visit.page().locator("[data-testid=to-sever][data-code='" + code + "']");
    }

    /** What the roots carry, in the fraction as it stands. */
    private int bottom() {
        return Integer.parseInt(
                visit.see("top-over-bottom").innerText().split(" on ")[1].strip());
    }

    private List<String> days() {
        return visit.page().locator("[role=radio][data-choice^='2026-']").allInnerTexts();
    }

    private JsonNode find(Predicate<JsonNode> which) {
        return application
                .api("pell")
                .get("/api/v1/severing")
                .body()
                .path("layers")
                .valueStream()
                .filter(which)
                .findFirst()
                .orElseThrow();
    }

    private void record(String code, String kind, Map<String, Object> details) {
        application
                .api("maren")
                .post(
                        "/api/v1/layers/" + code + "/records",
                        UUID.randomUUID(),
                        Map.of("kind", kind, "details", details))
                .expect(201);
    }
}
