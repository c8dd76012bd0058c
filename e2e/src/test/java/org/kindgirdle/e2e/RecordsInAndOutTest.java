package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.server.harness.Client;

/** What a nursery kept before comes in, and what it has here goes out and in again elsewhere. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RecordsInAndOutTest {

    private static final String BOOK = """
            Tag;Plant;Date set;Diam (cm);Rooted;Cut off;Potted;Sold;Died;Cause;Remarks
            17/1;Old feijoa;03.05.2023;1,8;20.07.2023;28.07.2023;28.07.2023;10.06.2024;;;"big, and good"
            17/2;Old feijoa;03.05.2023;1,5;;;;;21.06.2023;mice;
            17/3;Old feijoa;31.06.2023;2;;;;;;;
            """;

    /** A whole nursery is no matter of a moment. */
    private static final LocatorAssertions.ContainsTextOptions PATIENTLY =
            new LocatorAssertions.ContainsTextOptions().setTimeout(120_000);

    private RunningApplication application;
    private Visit visit;

    @BeforeAll
    void begin() {
        application = RunningApplication.demo();
        visit = Visit.desk(application).signedInAs("maren");
    }

    @AfterAll
    void end() {
        visit.close();
        application.close();
    }

    private static void choose(Visit visit, String name, String type, byte[] bytes) {
        visit.open("/house/records");
        visit.see("records-file").setInputFiles(new FilePayload(name, type, bytes));
        assertThat(visit.heading(name)).isVisible();
    }

    private void sayHowItIsRead() {
        visit.page().getByLabel("Recipe comes from").selectOption("The same in every row");
        visit.page().getByLabel("Recipe in every row").selectOption("Moss and foil");
        visit.page().getByLabel("Old feijoa means").selectOption("FJ-01");
        visit.page().getByLabel("mice means").selectOption("ANIMALS");
        visit.tap("look");
    }

    @Test
    void an_old_book_is_read_as_its_columns_are_called_and_taken_in_once() {
        choose(visit, "book.csv", "text/csv", BOOK.getBytes(Charset.forName("windows-1252")));
        assertThat(visit.see("import-outcome")).containsText("Say below where Recipe comes from");
        assertThat(visit.page().getByLabel("How Set on is written")).hasValue("DAY_MONTH_YEAR");
        assertThat(visit.page().getByLabel("Unit of Diameter")).hasValue("cm");
        assertThat(visit.axe()).isEmpty();
        sayHowItIsRead();
        assertThat(visit.see("bad-rows")).containsText("One row of 3 can’t be taken, so nothing will be");
        assertThat(visit.see("bad-cells")).containsText("Line 4, Set on (“31.06.2023”)");
        assertThat(visit.axe()).isEmpty();

        String mended = BOOK.replace("31.06.2023", "30.06.2023");
        choose(visit, "mended.csv", "text/csv", mended.getBytes(StandardCharsets.UTF_8));
        sayHowItIsRead();
        assertThat(visit.see("good-rows")).containsText("All 3 rows can be taken as layers: 3 are new.");
        assertThat(visit.see("import-outcome")).not().containsText("no row");
        visit.tap("take");
        assertThat(visit.see("taken")).containsText("Of 3 rows, 3 are new");
        assertThat(visit.axe()).isEmpty();

        // the same book again: how it is read is remembered, and nothing in it is new
        choose(visit, "again.csv", "application/vnd.ms-excel", mended.getBytes(StandardCharsets.UTF_8));
        assertThat(visit.see("remembered")).isVisible();
        assertThat(visit.see("good-rows")).containsText("3 are here already");
        visit.open("/layers?q=FJ-01&year=2023");
        assertThat(visit.page().getByText("3 layers").first()).isVisible();

        visit.open("/house/records");
        visit.see("records-file")
                .setInputFiles(new FilePayload("book.xlsx", "application/zip", new byte[] {0x50, 0x4b, 3, 4}));
        assertThat(visit.page().getByText("is a workbook")).isVisible();
        assertThat(visit.page().getByLabel("Save as CSV: Layers")).hasAttribute("href", "/api/v1/tables/layers");
    }

    @Test
    void mothers_that_an_old_book_names_are_made_with_its_layers() {
        String book = """
                Tag,Tree,Kind,Bed,Date,Diam mm
                21,Gate,Quince,Long field,2023-05-02,14
                22,Gate,Quince,Long field,2023-05-02,15
                23,Shed corner,witch-hazel,Tunnel 1,2023-05-09,13
                """;
        choose(visit, "trees.csv", "text/csv", book.getBytes(StandardCharsets.UTF_8));
        visit.page().getByLabel("Recipe comes from").selectOption("The same in every row");
        visit.page().getByLabel("Recipe in every row").selectOption("Moss and foil");
        assertThat(visit.page().getByLabel("Gate means").locator("option:checked"))
                .hasText("A new mother");
        // what a word plainly means is filled in
        assertThat(visit.page().getByLabel("Quince means")).hasValue("CYDOBL");
        assertThat(visit.page().getByLabel("witch-hazel means")).hasValue("HAMINT");
        visit.tap("look");
        assertThat(visit.see("good-rows")).containsText("All 3 rows can be taken as layers");
        assertThat(visit.see("new-mothers"))
                .containsText("2 mothers are not here yet and are made with them: Gate, Shed corner");
        assertThat(visit.axe()).isEmpty();
        visit.tap("take");
        assertThat(visit.see("taken")).containsText("Count their leafy shoots");
        visit.see("taken").getByText("Stock").click();
        // the page that is left names her too: only what Stock shows leads on
        assertThat(visit.heading("Mothers")).isVisible();
        visit.page().getByText("Shed corner").first().click();
        assertThat(visit.heading("Shed corner")).isVisible();
        assertThat(visit.page().getByText("count its leafy shoots")).isVisible();
    }

    @Test
    void the_whole_nursery_moves_into_an_empty_one() {
        byte[] file =
                application.api("maren").get("/api/v1/nursery-file").expect(200).bytes();
        try (RunningApplication empty = RunningApplication.empty()) {
            String token = empty.firstOwnerLink().replaceFirst(".*token=", "");
            Client owner = new Client(empty.base());
            owner.get("/api/v1/session").expect(200);
            owner.post(
                            "/api/v1/first-owner",
                            Map.of("token", token, "name", "maren", "fullName", "Maren", "password", Visit.PASSWORD))
                    .expect(201);
            try (Visit there = Visit.desk(empty).signedInAs("maren")) {
                choose(there, "nursery.json", "application/json", file);
                assertThat(there.see("good-rows")).containsText("The file is sound", PATIENTLY);
                there.tap("take");
                there.confirmPassword();
                assertThat(there.see("taken")).containsText("The nursery of the file is here now", PATIENTLY);
                // the same bytes, so the same nursery
                assertThat(empty.api("maren")
                                .get("/api/v1/nursery-file")
                                .expect(200)
                                .bytes())
                        .isEqualTo(file);
                there.open("/layers/WJY-PD");
                assertThat(there.heading("WJY-PD")).isVisible();

                // nobody else can come in until an owner has given them a password
                there.open("/house");
                there.button("Give Ivo Sandmoor a new password").click();
                there.field("New password for Ivo").fill("moss-round-the-ring");
                there.button("Give it").click();
                assertThat(there.see("toast").last()).containsText("signs in with the new password now");
                new Client(empty.base()).signedInAs("ivo", "moss-round-the-ring");
            }
        }
    }
}
