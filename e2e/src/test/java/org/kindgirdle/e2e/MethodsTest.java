package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;

/** The ways of layering that the demo has no recipe of: from the House to the Bench to a look. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class MethodsTest {

    private final RunningApplication application = RunningApplication.sharedDemo();

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Jar         | QU-01 | Cut it off below the ball | Stand the cut end in water | of medium
            Pot stool   | QU-01 | Close the split pot round the base | Keep at least one leafy shoot | of medium
            Sucker      | QU-01 | Peel the ring of bark off | Cover it: foil | of medium
            Foil start  | MD-01 | Leave two leafy nodes free | Wrap foil close round the bare stretch | foil only
            """)
    void a_recipe_of_another_method_is_made_set_and_looked_at(
            String method, String mother, String earlier, String then, String takes) {
        try (Visit visit = Visit.desk(application).signedInAs("maren")) {
            String name = "Tried: " + method.toLowerCase();
            visit.open("/house");
            visit.button("Add a recipe").click();
            visit.field("Name").last().fill(name);
            visit.pick("Method", method);
            visit.button("Save the recipe").click();
            assertThat(visit.page().getByText(name)).isVisible();

            visit.open("/bench");
            visit.pick("Mother", mother);
            visit.pick("Recipe", name);
            visit.field("Diameter").fill("14");
            assertThat(visit.see("row-sums-0")).containsText(takes);
            String order = visit.see("checklist").innerText();
            assertThat(order.indexOf(earlier)).isNotNegative().isLessThan(order.indexOf(then));
            if (visit.see("reason").count() > 0) {
                visit.see("reason").fill("to see whether it makes roots here");
            }
            visit.tap("set");
            visit.see("set-done").getByRole(AriaRole.LINK).first().click();

            assertThat(visit.page().getByText(Pattern.compile("days ago · " + method.toLowerCase())))
                    .isVisible();
            visit.radio("Callus").click();
            visit.tap("keep-look");
            assertThat(visit.see("toast").first()).containsText("kept");
            assertThat(visit.see("records")).containsText("callus");
            if (takes.equals("foil only")) {
                // bumps under the foil: it is ringed where it stands, and is an air layer from then on
                assertThat(visit.see("advice")).containsText("It makes roots under the foil");
                visit.tap("as-air");
                assertThat(visit.see("made-by").locator("option:checked")).hasText("Moss and foil");
                visit.field("New ring, as cut").fill("30 mm");
                assertThat(visit.axe()).isEmpty();
                visit.tap("keep-other");
                assertThat(visit.see("records")).containsText("30 mm wide, Moss and foil");
                assertThat(visit.page().getByText(Pattern.compile("days ago · foil start")))
                        .hasCount(0);
            }
        }
    }
}
