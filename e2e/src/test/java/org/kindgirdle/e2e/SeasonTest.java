package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.server.harness.Client;
import tools.jackson.databind.node.ObjectNode;

/** Is it time, and for what? On the demo's site, and on three others that are typed in by hand. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class SeasonTest {

    private RunningApplication application;

    @BeforeAll
    void begin() {
        application = RunningApplication.demo();
    }

    @AfterAll
    void end() {
        application.close();
    }

    @Test
    void a_start_date_is_moved_by_key_and_by_typing_and_everything_moves_with_it() {
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            visit.open("/season");
            visit.page().locator("[data-species=CYDOBL]").click();
            visit.see("start-day").locator("input").fill("2026-05-25");
            assertThat(visit.see("start-verdict")).containsText("25 May: good.");
            assertThat(visit.see("start-words")).containsText(Pattern.compile("\\d+ in 100: set on .* in 100 root"));
            String likeliest = visit.see("start-verdict").innerText();

            Locator slider = visit.see("start-slider");
            slider.focus();
            for (int day = 0; day < 5; day++) {
                visit.page().keyboard().press("ArrowRight");
            }
            assertThat(visit.see("start-verdict")).containsText("30 May: good.");
            assertThat(visit.see("start-verdict").innerText()).isNotEqualTo(likeliest);
            assertThat(slider).hasAttribute("aria-valuetext", Pattern.compile("30 May: Good, \\d+%"));
            assertThat(visit.page()).hasURL(Pattern.compile("start=2026-05-30"));

            visit.see("start-day").locator("input").fill("2026-09-01");
            assertThat(visit.see("start-verdict")).containsText("1 September: over winter.");
            assertThat(visit.see("start-words")).containsText("The last good day is");
            assertThat(visit.see("start-words")).containsText("Or set it from");
            visit.see("start-words")
                    .getByText("Why", new Locator.GetByTextOptions().setExact(true))
                    .click();
            assertThat(visit.see("start-reasons")).containsText("Is it ready in time? No.");
        }
    }

    @Test
    void the_strip_reads_as_a_table_and_the_address_brings_it_back() {
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            visit.open("/season?year=1&school=DORMANT&species=MESGER");
            visit.button("Read it as a table").click();
            assertThat(visit.see("season-table")).containsText("Quince");
            assertThat(visit.see("season-table")).containsText("closed, too early");
            assertThat(visit.see("season-table")).not().containsText("Croton");
            visit.button("All species of the house").click();
            assertThat(visit.see("season-table").locator("tbody tr")).hasCount(43);
            visit.page().reload();
            assertThat(visit.list("Year")).hasValue("1");
            assertThat(visit.list("Severed")).hasValue("DORMANT");
            assertThat(visit.page().locator("[data-species=MESGER]")).hasAttribute("aria-pressed", "true");
        }
    }

    @Test
    void sites_typed_in_by_hand_have_the_windows_that_their_growers_know() {
        Client owner = application.api("maren");
        ObjectNode home = (ObjectNode) owner.get("/api/v1/site").expect(200).body();
        try (Visit visit = Visit.desk(application).signedInAs("maren")) {
            Site tropical =
                    new Site("10", "20 21 22 24 24 24 23 23 23 23 22 21", "29 30 31 32 32 30 30 30 30 30 29 29");
            site(visit, tropical, Map.of());
            assertThat(loquat(visit)).containsText("good");
            assertThat(loquat(visit)).not().containsText("closed");

            Site continental =
                    new Site("47", "-12 -10 -4 4 10 15 17 16 10 3 -2 -9", "-3 -1 6 17 24 29 32 31 24 15 5 -1");
            site(visit, continental, frosts("04-22", "05-12", "09-25", "10-12"));
            assertThat(quince(visit)).containsText(Pattern.compile("(April|May) to \\d+ (May|June|July): good"));

            Site southern = new Site("-43", "12 12 10 8 5 3 2 2 3 4 7 10", "20 20 18 14 10 8 7 7 10 12 16 18");
            site(visit, southern, frosts("10-14", "11-06", "04-20", "05-08"));
            // the coldest days are those of July and August alike: in July the growing year is not over
            assertThat(row(visit, "/season?year=1", "Quince"))
                    .containsText(Pattern.compile("(October|November) to \\d+ (December|January 2027): good"));
        } finally {
            // the other tests of this nursery know its own windows
            home.put("version", owner.get("/api/v1/site").body().path("version").asLong());
            owner.put("/api/v1/site", home).expect(200);
        }
    }

    @Test
    void plants_wanted_become_layers_with_their_reasons_and_their_work() {
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            visit.open("/season?species=PARPER");
            visit.field("Plants wanted").fill("30");
            visit.field("Released by").fill("2028-06-01");
            visit.tap("reckon");
            assertThat(visit.see("numbers-headline"))
                    .containsText(Pattern.compile("to release 30 plants by 1 June 2028"));
            String likely = visit.see("numbers-headline").innerText();
            visit.radio("95%").click();
            assertThat(visit.see("numbers-headline")).not().hasText(likely);
            assertThat(visit.page().getByText(Pattern.compile("Short by one or more: [0-5]%")))
                    .isVisible();
            visit.field("Plants wanted").fill("many");
            visit.tap("reckon");
            assertThat(visit.page().getByRole(AriaRole.ALERT).first()).isVisible();
            assertThat(visit.field("Plants wanted")).hasValue("many");
        }
    }

    @Test
    void what_is_wanted_is_kept_as_a_target_and_follows_what_is_set() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/season?species=MESGER");
            assertThat(visit.see("target").first()).containsText("Loquats for the glasshouse");
            visit.field("Plants wanted").fill("3");
            visit.pick("Variety", "Old Carrow");
            visit.field("Released by").fill("2028-09-01");
            visit.tap("reckon");
            assertThat(visit.see("numbers-headline")).containsText("3 plants by 1 September 2028");
            assertThat(visit.see("where-room")).containsText("MD-01");
            assertThat(visit.see("cost")).containsText(Pattern.compile("\\d+\\.\\d\\d crowns in all"));
            visit.tap("keep-target");
            visit.tap("save-target");
            assertThat(visit.see("problem")).isVisible();
            visit.field("What it is for").fill("Medlars for the orchard");
            visit.tap("save-target");
            Locator target =
                    visit.see("target").filter(new Locator.FilterOptions().setHasText("Medlars for the orchard"));
            assertThat(target).containsText("3 medlar ‘Old Carrow’ by 1 September 2028");
            assertThat(target).containsText(Pattern.compile("Set \\d+ more, by "));
            assertThat(target).containsText("0 set, 0 rooted");

            visit.open("/bench?mother=4");
            visit.field("Diameter").fill("16");
            visit.tap("same-again");
            assertThat(visit.see("remarks")).isVisible();
            visit.giveReasonIfAsked("for the orchard");
            visit.tap("set");
            assertThat(visit.see("set-done")).containsText("6 layers are set");
            visit.open("/season?species=MESGER");
            assertThat(target).containsText("6 set, 0 rooted");
            assertThat(target).containsText(Pattern.compile("likely \\d"));
            visit.page().getByLabel("No longer wanted: Medlars for the orchard").click();
            assertThat(target).hasCount(0);
        }
    }

    private record Site(String latitude, String nights, String days) {}

    private static Map<String, String> frosts(String last, String lastLate, String firstEarly, String first) {
        return Map.of(
                "Last frost, on average", last,
                "Last frost, one year in ten later", lastLate,
                "First frost, one year in ten earlier", firstEarly,
                "First frost, on average", first);
    }

    private static void site(Visit visit, Site site, Map<String, String> frosts) {
        visit.open("/house");
        visit.field("Latitude").fill(site.latitude());
        List<String> months =
                List.of("Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec");
        for (int month = 0; month < 12; month++) {
            String name = months.get(month);
            visit.page().getByLabel("Days, " + name).fill(site.days().split(" ")[month]);
            visit.page().getByLabel("Nights, " + name).fill(site.nights().split(" ")[month]);
        }
        visit.radio(frosts.isEmpty() ? "Never" : "Yes").last().click();
        frosts.forEach((label, day) -> visit.field(label).fill(day));
        visit.tap("save-site");
        assertThat(visit.see("toast").last()).containsText("Saved");
    }

    private static Locator loquat(Visit visit) {
        return row(visit, "Loquat");
    }

    private static Locator quince(Visit visit) {
        return row(visit, "Quince");
    }

    private static Locator row(Visit visit, String species) {
        return row(visit, "/season", species);
    }

    private static Locator row(Visit visit, String season, String species) {
        visit.open(season);
        // what comes later stands above the button, and moves it
        visit.page().waitForLoadState(LoadState.NETWORKIDLE);
        visit.button("Read it as a table").click();
        return visit.see("season-table").locator("tbody tr").filter(new Locator.FilterOptions().setHasText(species));
    }
}
