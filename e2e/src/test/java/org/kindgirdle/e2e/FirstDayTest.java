package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;

/** An empty database becomes a nursery, from the first owner's link to the first layer. */
class FirstDayTest {

    @Test
    void from_the_first_owners_link_to_the_first_layer() {
        try (RunningApplication application = RunningApplication.empty();
                Visit visit = Visit.desk(application)) {
            String link = application.firstOwnerLink();
            visit.open(link);
            assertThat(visit.heading("Welcome")).isVisible();
            assertThat(visit.axe()).isEmpty();
            visit.field("Your name").fill("Odile Quern");
            visit.field("Name for signing in").fill("odile");
            visit.field("Password").fill(Visit.PASSWORD);
            visit.button("Begin").click();
            assertThat(visit.heading("House")).isVisible();

            visit.field("Name").first().fill("Quern Wood");
            visit.field("Latitude").fill("52");
            visit.field("Lowest night").fill("23 F");
            for (int month = 0; month < 12; month++) {
                double warm = 10 * Math.sin(Math.PI * (month - 3) / 6);
                visit.page().getByLabel("Nights, ").nth(month).fill(Long.toString(Math.round(6 + warm * .6)));
                visit.page().getByLabel("Days, ").nth(month).fill(Long.toString(Math.round(14 + warm)));
            }
            visit.field("Last frost, on average").fill("04-14");
            visit.field("Last frost, one year").fill("05-06");
            visit.field("First frost, one year").fill("10-20");
            visit.field("First frost, on average").fill("11-08");
            visit.tap("save-site");
            assertThat(visit.see("toast").last()).containsText("Saved");
            visit.button("Add a place").click();
            visit.field("Name").last().fill("North field");
            visit.button("Save the place").click();
            assertThat(visit.page().getByText("North field")).isVisible();
            visit.button("Add a recipe").click();
            visit.field("Name").last().fill("Moss");
            visit.button("Save the recipe").click();
            assertThat(visit.page().getByText(Pattern.compile("version 1"))).isVisible();

            visit.open("/stock");
            visit.tap("add-mother");
            visit.field("Code").fill("M-1");
            visit.pick("Species", "medlar");
            visit.field("Leafy shoots").fill("30");
            visit.tap("save-mother");
            assertThat(visit.heading("M-1")).isVisible();
            visit.open("/bench");
            visit.pick("Mother", "M-1");
            visit.field("Diameter").fill("16");
            assertThat(visit.see("remarks")).isVisible();
            visit.giveReasonIfAsked("the first one, to learn");
            visit.tap("set");
            assertThat(visit.see("set-done")).containsText("One layer is set");

            // the link was for one time
            try (Visit late = Visit.desk(application)) {
                late.open(link);
                late.field("Your name").fill("Sly Latecomer");
                late.field("Name for signing in").fill("sly");
                late.field("Password").fill(Visit.PASSWORD);
                late.button("Begin").click();
                assertThat(late.page().getByRole(AriaRole.ALERT)).isVisible();
            }
        }
    }
}
