package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;

/** What an owner changes in the house moves what the rules say. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class HouseTest {

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
    void a_changed_profile_moves_the_words_and_the_dates() {
        try (Visit visit = Visit.desk(application).signedInAs("maren")) {
            visit.openLayer("J34-9M");
            String dates = visit.see("dates").innerText();
            String words = visit.see("advice").innerText();

            profile(visit, "quince", "20");
            visit.openLayer("J34-9M");
            assertThat(visit.see("dates").innerText()).isNotEqualTo(dates);
            assertThat(visit.see("advice").innerText()).isNotEqualTo(words);

            visit.open("/house");
            visit.button("Edit quince").click();
            visit.field("Thermal days").fill("-3");
            visit.tap("save-profile");
            assertThat(visit.page().getByRole(AriaRole.ALERT).first()).containsText("must be from 1 to 2000");
            assertThat(visit.field("Thermal days")).hasValue("-3");
        }
    }

    @Test
    void a_house_rule_shows_what_it_moves_and_moves_it() {
        try (Visit visit = Visit.desk(application).signedInAs("maren")) {
            String before = q50("FEK-64");
            visit.open("/house");
            visit.page().getByLabel("Find a house rule").fill("ring, scraped: speed");
            scraped(visit).fill("9");
            visit.tap("what-moves");
            assertThat(visit.see("problem")).containsText("must be from 0.05 to 3.0");
            scraped(visit).fill("0.8");
            visit.tap("what-moves");
            assertThat(visit.see("moves")).containsText("another likeliest day");
            assertThat(visit.see("moves")).not().containsText("0 another likeliest day");
            visit.tap("save-rules");
            assertThat(visit.see("toast").last()).containsText("Saved");
            assertThat(q50("FEK-64")).isGreaterThan(before);

            visit.button("Ring, scraped: speed: as shipped").click();
            visit.tap("save-rules");
            // what was changed is listed until it is saved
            assertThat(visit.see("save-rules")).hasCount(0);
            assertThat(scraped(visit)).hasValue("1");
            assertThat(q50("FEK-64")).isEqualTo(before);
        }
    }

    @Test
    void weather_from_a_file_is_looked_through_first_and_taken_whole() {
        try (Visit visit = Visit.desk(application).signedInAs("maren")) {
            visit.open("/house");
            visit.button("Take from a file").click();
            weatherFile(visit, "date,min_c,max_c\n2026-07-08,9,18\n2026-07-09,21,18\n");
            assertThat(visit.see("bad-rows")).containsText("One line");
            assertThat(visit.page().getByText("The minimum is above the maximum, 18.0."))
                    .isVisible();

            weatherFile(visit, "date,min_c,max_c\n2026-07-08,9,18\n2026-07-09,8.5,17.5\n");
            assertThat(visit.see("import-preview")).containsText("2 days, from 8 July to 9 July");
            assertThat(visit.see("import-preview")).containsText("2 of them are there already");
            visit.tap("take-weather");
            assertThat(visit.see("toast").first()).containsText("2 days taken in, 2 of them in place of others");
            assertThat(visit.page().getByRole(AriaRole.ROW).filter(new Locator.FilterOptions().setHasText("9 July")))
                    .containsText("8.5 C");

            weatherFile(visit, new byte[] {'d', (byte) 0xfc});
            assertThat(visit.page().getByText("is not in UTF-8")).isVisible();
        }
    }

    private static Locator scraped(Visit visit) {
        return visit.page().locator("[id='wound.RING_SCRAPED.speed']");
    }

    private static void weatherFile(Visit visit, String csv) {
        weatherFile(visit, csv.getBytes(StandardCharsets.UTF_8));
    }

    private static void weatherFile(Visit visit, byte[] bytes) {
        if (visit.page().getByTestId("weather-file").count() == 0) {
            visit.button("Take from a file").click();
        }
        visit.page().getByTestId("weather-file").setInputFiles(new FilePayload("days.csv", "text/csv", bytes));
    }

    @Test
    void a_place_moved_to_the_warm_is_ready_earlier() {
        try (Visit visit = Visit.desk(application).signedInAs("maren")) {
            String before = q50("FEK-64");
            visit.open("/house");
            visit.button("Edit Tunnel 1").click();
            visit.field("Nights warmer").fill("9 F");
            visit.button("Save the place").click();
            assertThat(visit.see("toast").last()).containsText("Saved");
            assertThat(q50("FEK-64")).isLessThan(before);
            assertThat(visit.page().getByText(Pattern.compile("nights \\+5 C"))).isVisible();
        }
    }

    @Test
    void a_mother_is_added_and_layered_with_another_recipe() {
        try (Visit visit = Visit.desk(application).signedInAs("maren")) {
            visit.open("/house");
            visit.button("Add a recipe").click();
            visit.field("Name").last().fill("Coir and white film");
            visit.button("Save the recipe").click();
            assertThat(visit.page().getByText("Coir and white film")).isVisible();

            visit.open("/stock");
            visit.tap("add-mother");
            visit.field("Code").fill("WH-09");
            visit.pick("Species", "witch hazel");
            visit.field("Leafy shoots").fill("40");
            visit.tap("save-mother");
            assertThat(visit.heading("WH-09")).isVisible();

            visit.open("/bench");
            visit.pick("Mother", "WH-09");
            visit.pick("Recipe", "Coir and white film");
            visit.field("Diameter").fill("14");
            assertThat(visit.see("sums")).isVisible();
        }
    }

    @Test
    void a_person_is_added_and_may_do_what_their_role_allows() {
        try (Visit owner = Visit.desk(application).signedInAs("maren");
                Visit newcomer = Visit.desk(application)) {
            owner.open("/house");
            owner.button("Add a person").click();
            owner.field("Their name").fill("Tamsin Weir");
            owner.field("Name for signing in").fill("tamsin");
            owner.field("First password").fill("short");
            owner.button("Add them").click();
            assertThat(owner.page().getByText("must have 10 to 64 characters").first())
                    .isVisible();
            assertThat(owner.field("Their name")).hasValue("Tamsin Weir");
            owner.field("First password").fill(Visit.PASSWORD);
            assertThat(owner.axe()).isEmpty();
            owner.button("Add them").click();
            // nothing typed is lost while the password is asked for once more
            assertThat(owner.see("confirm-password")).isVisible();
            assertThat(owner.axe()).isEmpty();
            owner.see("confirm-password").getByLabel("Password").fill("not the password");
            owner.button("Go on").click();
            assertThat(owner.page().getByText("That is not your password")).isVisible();
            owner.confirmPassword();
            assertThat(owner.page().getByText("signs in as tamsin")).isVisible();

            newcomer.signedInAs("tamsin").openLayer("CDT-PA");
            assertThat(newcomer.see("keep-look")).isVisible();
            newcomer.open("/house");
            assertThat(newcomer.button("Add a person")).hasCount(0);

            // she changes her own password, sees where she is signed in, and leaves
            newcomer.open("/me");
            newcomer.field("Password of now").fill(Visit.PASSWORD);
            newcomer.field("New password").fill("three plain words");
            newcomer.button("Change it").click();
            assertThat(newcomer.see("toast").last()).containsText("Your password is changed");
            assertThat(newcomer.see("sessions")).containsText("this one");
            assertThat(newcomer.axe()).isEmpty();
            owner.button("Change Tamsin Weir").click();
            owner.see("has-left").check();
            owner.button("Save").click();
            assertThat(owner.page().getByText("signs in no more, since")).isVisible();
            newcomer.open("/stock");
            assertThat(newcomer.button("Sign in")).isVisible();
            owner.page().getByText("Who did what").click();
            assertThat(owner.see("security-log")).containsText("person left");
            assertThat(owner.see("security-log")).containsText("own password changed");
            assertThat(owner.axe()).isEmpty();
        }
    }

    private String q50(String code) {
        return application
                .api("maren")
                .get("/api/v1/layers/" + code)
                .body()
                .path("forecast")
                .path("q50")
                .asString();
    }

    @Test
    void what_the_house_pays_is_typed_in_and_says_what_layers_cost() {
        try (Visit visit = Visit.desk(application).signedInAs("maren")) {
            visit.open("/house");
            visit.button("Edit the prices").click();
            visit.field("An hour of work").fill("dear");
            visit.tap("save-prices");
            assertThat(visit.see("problem")).containsText("dear");
            visit.field("An hour of work").fill("30");
            visit.field("Money").fill("marks");
            visit.tap("save-prices");
            assertThat(visit.page().getByText("An hour of work: 30")).isVisible();
            visit.open("/season?species=CYDOBL");
            assertThat(visit.see("cost")).containsText("marks in all");
        }
    }

    @Test
    void a_species_is_added_and_a_changed_one_goes_back_to_what_was_shipped() {
        try (Visit visit = Visit.desk(application).signedInAs("maren")) {
            visit.open("/house");
            // until all of it is there the page grows, and its buttons move
            assertThat(visit.button("Edit snowbell")).isVisible();
            visit.button("Add a species").click();
            visit.field("Name").last().fill("island rowan");
            visit.field("Scientific name").fill("Sorbus carrowensis");
            visit.field("Code").fill("SORCAR");
            visit.field("Grows from").fill("41 F");
            visit.field("Stops at").fill("3");
            visit.tap("save-profile");
            assertThat(visit.see("problem")).containsText("rise from base to optimum to ceiling");
            assertThat(visit.field("Scientific name")).hasValue("Sorbus carrowensis");
            visit.field("Stops at").fill("36");
            visit.tap("save-profile");
            assertThat(visit.page().getByText("· your own")).isVisible();

            profile(visit, "snowbell", "80");
            visit.button("Edit snowbell").click();
            visit.tap("reset-profile");
            assertThat(visit.field("Thermal days")).not().hasValue("80");
            assertThat(visit.see("moves")).isVisible();
            visit.tap("save-profile");
            assertThat(visit.see("save-profile")).hasCount(0);
            visit.button("Edit snowbell").click();
            assertThat(visit.see("reset-profile")).hasCount(0);
        }
    }

    @Test
    void anybody_gets_a_calendar_of_their_own_at_a_secret_address() {
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            visit.open("/house");
            assertThat(visit.page().getByText("Witch hazel").last()).isVisible();
            visit.tap("renew-calendar");
            String first = visit.see("calendar-address").inputValue();
            String feed = visit.page().request().get(first).text();
            Assertions.assertThat(feed).startsWith("BEGIN:VCALENDAR").contains("SUMMARY:Round: ");
            visit.tap("renew-calendar");
            assertThat(visit.see("calendar-address")).not().hasValue(first);
            Assertions.assertThat(visit.page().request().get(first).status()).isEqualTo(404);
        }
    }

    @Test
    void a_pass_over_many_layers_shows_how_far_it_is_and_then_the_new_dates() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            AtomicInteger asked = new AtomicInteger();
            visit.page()
                    .route(
                            "**/api/v1/recalculation",
                            route -> route.fulfill(new Route.FulfillOptions()
                                    .setContentType("application/json")
                                    .setBody(
                                            asked.incrementAndGet() < 3
                                                    ? "{\"running\":true,\"done\":7500,\"total\":20000}"
                                                    : "{\"running\":false,\"done\":20000,\"total\":20000}")));
            visit.open("/layers");
            assertThat(visit.see("recalculation")).containsText("7500 of 20000");
            assertThat(visit.see("toast").last()).containsText("reckoned anew");
            assertThat(visit.see("recalculation")).hasCount(0);
        }
    }

    private static void profile(Visit visit, String species, String thermalDays) {
        visit.open("/house");
        visit.button("Edit " + species).click();
        visit.field("Thermal days").fill(thermalDays);
        visit.tap("save-profile");
        assertThat(visit.see("toast").last()).containsText("Saved");
    }
}
