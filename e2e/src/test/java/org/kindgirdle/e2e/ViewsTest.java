package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;

/** Every main view, at a desk and on a phone: axe finds nothing, nothing is fetched from elsewhere. */
class ViewsTest {

    private final RunningApplication application = RunningApplication.sharedDemo();

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "/, Friday’s round",
        "/bench, Set layers",
        "/layers, Layers",
        "/layers/WJY-PD, WJY-PD",
        "/layers/YRF-DJ, YRF-DJ",
        "/layers/222-22, 222-22",
        "/stock, Mothers",
        "/house, House",
    })
    void aViewIsSoundAtADeskAndOnAPhone(String path, String title) {
        for (boolean phone : new boolean[] {false, true}) {
            try (Visit visit = phone ? Visit.phone(application) : Visit.desk(application)) {
                visit.signedInAs("maren").open(path);
                assertThat(visit.heading(title)).isVisible();
                visit.page().waitForLoadState(LoadState.NETWORKIDLE);
                assertThat(visit.axe()).isEmpty();
                assertThat(visit.requestsElsewhere()).isEmpty();
                assertThat(visit.complaints()).isEmpty();
                assertThat(visit.page().evaluate("() => document.documentElement.scrollWidth <= window.innerWidth"))
                        .as("nothing runs over the edge")
                        .isEqualTo(true);
            }
        }
    }

    @Test
    void openFormsAreSoundToo() {
        try (Visit visit = Visit.desk(application).signedInAs("maren")) {
            visit.open("/house");
            for (String button : new String[] {"Add a place", "Add a recipe", "Edit quince"}) {
                visit.button(button).click();
                assertThat(visit.axe()).as(button).isEmpty();
                visit.button("Back").last().click();
            }
            visit.open("/stock");
            visit.tap("add-mother");
            assertThat(visit.axe()).isEmpty();
            visit.openLayer("WJY-PD");
            for (String button : new String[] {"Top up", "Ring again", "Other work", "Sever", "Lost"}) {
                visit.button(button).click();
                assertThat(visit.axe()).as(button).isEmpty();
                visit.button("Back").click();
            }
            visit.tap("why");
            assertThat(visit.axe()).isEmpty();
        }
    }

    @Test
    void theDoorIsSoundAndKeepsWhatWasTyped() {
        try (Visit visit = Visit.desk(application)) {
            visit.open("/layers/WJY-PD");
            assertThat(visit.button("Sign in")).isVisible();
            assertThat(visit.axe()).isEmpty();
            visit.field("Name").fill("ivo");
            visit.field("Password").fill("not-the-password");
            visit.button("Sign in").click();
            assertThat(visit.page().getByRole(AriaRole.ALERT)).isVisible();
            assertThat(visit.field("Name")).hasValue("ivo");
            visit.field("Password").fill(Visit.PASSWORD);
            visit.button("Sign in").click();
            // on to where the visitor wanted to go
            assertThat(visit.heading("WJY-PD")).isVisible();
        }
    }

    @Test
    void thePolicyAllowsNoScriptBesideTheShippedOnes() {
        try (Visit visit = Visit.desk(application)) {
            Response response = visit.page().navigate(application.base() + "/");
            String policy = response.headerValue("content-security-policy");
            assertThat(policy)
                    .contains("default-src 'none'; script-src 'self';")
                    .doesNotContain("unsafe-inline", "unsafe-eval");
            // it holds: a script written into the page does not run
            visit.page().evaluate("""
                    () => {
                      const script = document.createElement('script')
                      script.textContent = 'window.intruder = true'
                      document.body.append(script)
                    }
                    """);
            assertThat(visit.page().evaluate("() => window.intruder === undefined"))
                    .isEqualTo(true);
        }
    }

    @Test
    void aViewerLooksOnOnly() {
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            visit.openLayer("WJY-PD");
            assertThat(visit.see("advice")).isVisible();
            assertThat(visit.see("keep-look")).hasCount(0);
            assertThat(visit.see("do-step")).hasCount(0);
            visit.open("/house");
            assertThat(visit.page().getByText("Only an owner can change")).isVisible();
            assertThat(visit.button("Add a place")).hasCount(0);
        }
    }

    @Test
    void aLayerThatIsNotThereSaysSo() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/layers/ZZZ-ZZ");
            assertThat(visit.page().getByRole(AriaRole.ALERT)).containsText("ZZZ-ZZ");
            assertThat(visit.axe()).isEmpty();
        }
    }
}
