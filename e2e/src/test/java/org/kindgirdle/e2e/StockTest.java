package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;

/** Which mother, and which limb of it? */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class StockTest {

    private final RunningApplication application = RunningApplication.sharedDemo();

    @Test
    void a_mother_is_found_and_says_what_it_can_still_carry_and_why() {
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            visit.open("/stock");
            assertThat(visit.see("stock-room"))
                    .containsText(Pattern.compile("\\d+ mothers in use, with room for \\d+ more layers"));
            visit.page().getByLabel("Find a mother").fill("quince pear");
            assertThat(visit.page()
                            .getByRole(AriaRole.LISTITEM)
                            .filter(new Locator.FilterOptions().setHasText("Tollen Pear")))
                    .containsText("Sick: not to be cloned");
            visit.page().getByText("QU-03").click();
            assertThat(visit.see("room")).containsText("Sick: not to be cloned");
            assertThat(visit.see("remarks")).containsText("a clone carries the virus");
            assertThat(visit.page().getByText("Set layers on it")).hasCount(0);
        }
    }

    @Test
    void a_limb_is_added_weighed_and_layered_with_every_place_filled_in() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/stock/4");
            assertThat(visit.heading("MD-01")).isVisible();
            visit.tap("add-limb");
            visit.field("Name").fill("Crossing limb");
            visit.field("Diameter").fill("5/8 in");
            visit.field("Length").fill("1.2 m");
            visit.field("Lean").fill("15");
            visit.field("Nodes").fill("24");
            visit.field("Leaves").fill("many");
            visit.tap("save-limb");
            assertThat(visit.see("problem")).containsText("many");
            assertThat(visit.field("Length")).hasValue("1.2 m");
            visit.field("Leaves").fill("40");
            visit.radio("Yes").first().click();
            visit.tap("save-limb");

            Locator limbs = visit.see("limbs");
            assertThat(limbs).containsText("Take this one: room for 4 more.");
            assertThat(limbs).containsText("16 mm: between pencil and thumb");
            assertThat(limbs).containsText("To be pruned anyway");
            assertThat(visit.see("limb-picture")).containsText("room for 4 more");

            visit.page().getByLabel("Set on it: Crossing limb").click();
            assertThat(visit.list("Mother")).hasValue(Pattern.compile("^MD-01"));
            assertThat(visit.field("Diameter")).hasValue("15.88");
            // picking a limb counts no leaves
            assertThat(visit.field("Leaves")).hasValue("");
            String first = visit.field("To union").inputValue();
            visit.see("same-count").fill("1");
            visit.tap("same-again");
            assertThat(visit.field("To union").last()).not().hasValue(first);
            assertThat(visit.see("remarks")).not().containsText("On Crossing limb");
            visit.giveReasonIfAsked("wanted this year");
            visit.tap("set");
            assertThat(visit.see("set-done")).containsText("2 layers are set");

            visit.open("/stock/4");
            Locator picture = visit.see("limb-picture");
            assertThat(picture).containsText("sever this one first");
            assertThat(picture.locator("ol li")).hasCount(2);
            assertThat(visit.see("limbs")).containsText("room for 2 more");
            assertThat(visit.see("taken")).containsText("2026");
        }
    }

    @Test
    void a_ring_that_leaves_no_shoot_below_is_warned_of_or_refused_before_it_is_saved() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench?mother=7");
            visit.field("Diameter").fill("15");
            assertThat(visit.see("remarks")).isVisible();
            visit.radio("No").click();
            assertThat(visit.see("remarks").locator("[data-level=BLOCK]")).containsText("Ring higher up");
            assertThat(visit.see("set")).isDisabled();
            visit.radio("Yes").click();
            assertThat(visit.see("remarks").locator("[data-level=BLOCK]")).hasCount(0);
            assertThat(visit.see("set")).isEnabled();
        }
    }

    @Test
    void a_mother_is_relabelled_retired_and_used_again_and_keeps_its_history() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/stock/12");
            visit.tap("relabel");
            assertThat(visit.see("what-follows")).containsText("3 layers on it, 0 in pots");
            visit.field("Variety").fill("Ember Plume");
            visit.tap("save-change");
            assertThat(visit.see("problem")).containsText("reason");
            assertThat(visit.field("Variety")).hasValue("Ember Plume");
            visit.field("Why").fill("the flowers came red");
            visit.tap("save-change");
            assertThat(visit.see("history")).containsText("variety: Dusk Plume → Ember Plume");
            assertThat(visit.see("history")).containsText("by Ivo Sandmoor: the flowers came red");

            visit.tap("retire");
            visit.field("Why").fill("too old");
            visit.tap("save-change");
            assertThat(visit.see("room")).containsText("Retired on 10 July");
            visit.open("/bench");
            visit.list("Mother").fill("SM-01");
            assertThat(visit.page().getByText("No mother in use has all these words"))
                    .isVisible();
            visit.open("/stock");
            // how many there are depends on what other tests of this demo have retired or merged
            visit.page().getByText("No longer used:").click();
            visit.page().getByText("SM-01").click();
            visit.tap("return");
            visit.field("Why").fill("it shot again");
            visit.tap("save-change");
            assertThat(visit.see("room")).containsText("Room for");
            assertThat(visit.see("history").locator("> li")).hasCount(4);
        }
    }

    @Test
    void two_tags_on_one_plant_become_one_mother() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/stock/8");
            assertThat(visit.heading("FJ-01")).isVisible();
            visit.tap("merge");
            visit.pick("The same plant as", "FJ-02");
            visit.field("Why").fill("two tags on one plant");
            visit.tap("save-change");
            assertThat(visit.see("room")).containsText("It is the same plant as FJ-02");
            visit.see("room").getByText("FJ-02").click();
            assertThat(visit.heading("FJ-02")).isVisible();
            assertThat(visit.see("limbs")).containsText("South limb");
            assertThat(visit.see("history")).containsText("Took in another");
            assertThat(visit.see("taken").locator("tbody td").first()).hasText("5");
            assertThat(application.api("pell").get("/api/v1/stock/8").body().path("taken"))
                    .isEmpty();
        }
    }
}
