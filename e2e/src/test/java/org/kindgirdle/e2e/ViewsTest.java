package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;

/** Every main view, at a desk and on a phone: axe finds nothing, nothing is fetched from elsewhere. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ViewsTest {

    private final RunningApplication application = RunningApplication.sharedDemo();
    private final Visit desk = Visit.desk(application).signedInAs("maren");
    private final Visit phone = Visit.phone(application).signedInAs("maren");

    @AfterAll
    void leave() {
        desk.close();
        phone.close();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "/, Friday’s round",
        "/?at=AJJ-4M, AJJ-4M",
        "/device, On this device",
        "/bench, Set layers",
        "/bench/sums, Sums",
        "/bench/shopping, Shopping list",
        "/bench/labels, Labels",
        "/bench/trials, Trials",
        "/bench/trials/1, Scraped or not",
        "/bench/trials/3, Foil or clear",
        "/layers, Layers",
        "/layers/WJY-PD, WJY-PD",
        "/layers/YRF-DJ, YRF-DJ",
        "/layers/222-22, 222-22",
        "/season, Season",
        "/stock, Mothers",
        "/stock/1, QU-01",
        "/stock/7, LQ-02",
        "/ledger, What works here?",
        "/ledger?by=WEEK, What works here?",
        "/ledger/times?species=CYDOBL, How long does it take?",
        "/ledger/dates, How good were the dates?",
        "/house, House",
        "/house/records, Records in and out",
    })
    void a_view_is_sound_at_a_desk_and_on_a_phone(String path, String title) {
        for (Visit visit : List.of(desk, phone)) {
            visit.open(path);
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

    @Test
    void open_forms_are_sound_too() {
        desk.open("/house");
        for (String button : new String[] {
            "Add a place", "Add a recipe", "Edit quince", "Add a species", "Edit the prices", "Edit the supplies"
        }) {
            desk.button(button).click();
            assertThat(desk.axe()).as(button).isEmpty();
            desk.button("Back").last().click();
        }
        desk.button("Type in a day").click();
        desk.button("Take from a file").click();
        desk.page().getByLabel("Find a house rule").fill("frost");
        desk.page().locator("[id='next.establish']").fill("49");
        desk.tap("what-moves");
        assertThat(desk.axe()).isEmpty();
        desk.open("/season");
        desk.button("Read it as a table").click();
        desk.see("start-words").getByText("Why").click();
        assertThat(desk.axe()).isEmpty();
        desk.open("/bench/trials");
        desk.tap("begin-trial");
        assertThat(desk.axe()).isEmpty();
        desk.open("/bench?mother=1");
        desk.field("Diameter").fill("18");
        assertThat(desk.see("checklist")).isVisible();
        desk.list("Mother").fill("wal");
        assertThat(desk.page().getByRole(AriaRole.LISTBOX)).isVisible();
        assertThat(desk.axe()).isEmpty();
        desk.tap("plan");
        assertThat(desk.axe()).isEmpty();
        desk.open("/stock");
        desk.tap("add-mother");
        assertThat(desk.axe()).isEmpty();
        desk.open("/stock/10");
        for (String form : new String[] {"edit-mother", "relabel", "merge", "retire", "add-limb"}) {
            desk.tap(form);
            assertThat(desk.axe()).as(form).isEmpty();
        }
        desk.open("/layers");
        desk.button("More filters").click();
        desk.page().getByLabel("Tick AJJ-4M").check();
        desk.pick("Record for all", "Other work");
        assertThat(desk.axe()).isEmpty();
        phone.open("/?at=AJJ-4M");
        phone.button("Later").click();
        assertThat(phone.axe()).isEmpty();
        desk.openLayer("WJY-PD");
        for (String button : new String[] {"Top up", "Ring again", "Other work", "Sever", "Lost"}) {
            desk.button(button).click();
            assertThat(desk.axe()).as(button).isEmpty();
            desk.button("Back").click();
        }
        desk.tap("why");
        assertThat(desk.axe()).isEmpty();
    }

    @Test
    void the_door_is_sound_and_keeps_what_was_typed() {
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
    void the_policy_allows_no_script_beside_the_shipped_ones() {
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
    void a_viewer_looks_on_only() {
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
    void a_layer_that_is_not_there_says_so() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/layers/ZZZ-ZZ");
            assertThat(visit.page().getByRole(AriaRole.ALERT)).containsText("ZZZ-ZZ");
            assertThat(visit.axe()).isEmpty();
        }
    }

    /** On a phone with keys: whatever they reach is seen whole, or as much of it as the screen holds. */
    @Test
    void what_the_keys_reach_does_not_stop_behind_the_bar() {
        phone.open("/layers/CYT-4Y");
        assertThat(phone.page().getByRole(AriaRole.RADIO).first()).isVisible();
        List<Object> hidden = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            phone.page().keyboard().press("Tab");
            Object behind = phone.page().evaluate("""
                    () => {
                      const bar = document.querySelector('nav.fixed').getBoundingClientRect()
                      const one = document.activeElement
                      const at = one.getBoundingClientRect()
                      const fits = at.height < bar.top
                      return fits && !one.closest('nav') && one !== document.body && at.bottom > bar.top + 1
                        ? one.outerHTML.slice(0, 120) : ''
                    }
                    """);
            if (!"".equals(behind)) {
                hidden.add(behind);
            }
        }
        assertThat(hidden).isEmpty();
    }
}
