package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;

/** A question is asked, its places are dealt, and what was done there is kept beside what was dealt. */
class TrialTest {

    private final RunningApplication application = RunningApplication.sharedDemo();

    @Test
    void a_trial_is_begun_dealt_and_set() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench/trials");
            visit.tap("begin-trial");
            visit.field("Name").last().fill("Bag or film");
            visit.field("The question").fill("Do more root in a bag of coir?");
            visit.pick("Arm A", "Moss and foil");
            visit.pick("Arm B", "Coir bag");
            assertThat(visit.see("difference")).containsText("in 3 things");
            visit.pick("Arm B", "Clear film");
            assertThat(visit.see("difference")).containsText("in one thing: the cover");
            visit.field("Would matter").fill("70");
            assertThat(visit.page().getByText("which difference would matter")).isVisible();
            visit.field("Would matter").fill("90");
            assertThat(visit.see("trial-size")).containsText("72 layers in each arm, 144 in all");
            visit.pick("Species", "Black mulberry");
            visit.page().getByLabel("Places on MU-01").fill("4");
            visit.page().getByLabel("Places on MU-02").fill("2");
            assertThat(visit.see("places-total")).containsText("6 places on 2 mothers: 3 or so in each arm");
            visit.tap("deal");

            assertThat(visit.heading("Bag or film")).isVisible();
            assertThat(visit.see("trial-remark").first()).containsText("72 would be needed");
            visit.page().getByText("Set A × 2").first().click();
            // the places of the arm come with the mother and the recipe; what is measured is typed
            assertThat(visit.page().locator("[data-row]")).hasCount(2);
            assertThat(visit.list("Recipe").locator("option:checked")).hasText("Moss and foil");
            visit.field("Diameter").first().fill("14");
            visit.field("Diameter").last().fill("15");
            // what was typed for the places outlives a reload
            visit.page().reload();
            assertThat(visit.field("Diameter").last()).hasValue("15");
            assertThat(visit.field("Diameter").first()).hasValue("14");
            assertThat(visit.see("remarks")).isVisible();
            visit.giveReasonIfAsked("counted by the test");
            visit.tap("set");
            assertThat(visit.see("set-done")).containsText("2 layers are set");
            visit.see("set-done").locator("a").first().click();
            assertThat(visit.see("trial")).containsText("Part of the trial Bag or film, dealt arm A (Moss and foil)");
            visit.see("trial").locator("a").click();
            assertThat(visit.see("arms").locator("tbody tr").first()).containsText("Moss and foil");
            assertThat(visit.page().getByText("Set A × 2")).hasCount(0);
        }
    }
}
