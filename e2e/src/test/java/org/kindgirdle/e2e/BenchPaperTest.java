package org.kindgirdle.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;

/** What comes out of the bench beside layers: sums, labels, drawings, a list for the day. */
class BenchPaperTest {

    private final RunningApplication application = RunningApplication.sharedDemo();

    @Test
    void the_sums_of_a_row_go_on_with_its_numbers_and_what_cannot_be_says_what_to_do() {
        try (Visit visit = Visit.desk(application).signedInAs("pell")) {
            visit.open("/bench?mother=1");
            visit.pick("Recipe", "Moss and foil");
            visit.field("Diameter").fill("78.8");
            visit.tap("to-sums");
            // 60 mm is the widest ring; quince bridges readily, which makes it 75
            assertThat(visit.see("ball-answer")).containsText("Ring 75 mm");
            visit.page().getByText("No more than most").click();
            assertThat(visit.see("ball-answer")).containsText("Ring 60 mm; ball 110 mm long and 199 mm across");
            assertThat(visit.see("medium-answer")).containsText("2.0 L of moss");
            assertThat(visit.see("containers")).containsText("it can't be closed round it");
            visit.field("Branch").fill("0");
            assertThat(visit.see("sum-ball").getByRole(AriaRole.ALERT)).containsText("must be from 1 to 200");

            assertThat(visit.field("Strength wanted")).hasValue("3000");
            assertThat(visit.see("hormone-answer")).containsText("15 mL of the stock, filled up with 35 mL");
            visit.field("Its strength").fill("1000");
            assertThat(visit.see("sum-hormone")).containsText("take a stronger stock");
            visit.page().getByText("A powder to dissolve").click();
            assertThat(visit.see("hormone-answer")).containsText("153.1 mg");
            assertThat(visit.see("cover-answer")).containsText("thermal days under foil");
        }
    }

    @Test
    void a_row_is_drawn_one_to_one_as_pdf() throws IOException {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench?mother=1");
            visit.field("Diameter").fill("3/4 in");
            Download drawing = visit.page().waitForDownload(() -> visit.tap("drawing-pdf"));
            assertThat(drawing.suggestedFilename()).isEqualTo("branch-1.pdf");
            assertThat(Files.readString(drawing.path(), StandardCharsets.ISO_8859_1))
                    .startsWith("%PDF-");
        }
    }

    @Test
    void labels_begin_where_the_sheet_is_free() {
        String code = application
                .api("ivo")
                .get("/api/v1/layers?limit=1")
                .body()
                .at("/layers/0/code")
                .asString();
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.openLayer(code);
            visit.tap("label");
            assertThat(visit.field("Of the layers")).hasValue(code);
            visit.pick("Sheet", "Letter, 3 by 10");
            visit.page().locator("[data-place='5']").click();
            Request asked = visit.page().waitForRequest("**/labels.pdf*", () -> visit.tap("open-labels"));
            assertThat(asked.url()).contains("start=5", "grid=LETTER_3x10", "codes=" + code);
            visit.field("Of the layers").fill("7KM-4Y");
            visit.tap("open-labels");
            assertThat(visit.see("problem")).containsText("There is no layer");
        }
    }

    @Test
    void a_batch_is_planned_its_day_has_a_list_and_it_is_taken_to_the_bench_and_set() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench?mother=2");
            visit.pick("Recipe", "Coir bag");
            visit.field("Diameter").fill("17");
            visit.see("same-count").fill("2");
            visit.tap("same-again");
            visit.tap("plan");
            visit.field("To be set on").fill("2026-07-14");
            visit.tap("save-plan");
            assertThat(visit.see("planned")).containsText("3 on QU-02");
            visit.see("planned").getByText("14 July").click();
            assertThat(visit.see("shopping-headline")).containsText("3 layers on 14 July");
            assertThat(visit.see("shopping-items")).containsText("Coir");
            assertThat(visit.see("shopping-items")).containsText("Pods, bags or pots for Coir bag");
            assertThat(visit.see("shopping-items")).containsText("Hormone of 2000 ppm");

            visit.open("/bench");
            visit.button("Take it to the bench").click();
            assertThat(visit.page().locator("[data-row]")).hasCount(3);
            assertThat(visit.field("Diameter").last()).hasValue("17");
            assertThat(visit.see("remarks")).isVisible();
            visit.giveReasonIfAsked("counted by the test");
            visit.tap("set");
            assertThat(visit.see("set-done")).containsText("3 layers are set");
            assertThat(visit.see("planned")).hasCount(0);
            visit.tap("print-labels");
            assertThat(visit.see("open-labels")).hasText("Open 3 labels (PDF)");
        }
    }

    @Test
    void the_checklist_is_that_of_the_method_with_its_cautions() {
        try (Visit visit = Visit.desk(application).signedInAs("ivo")) {
            visit.open("/bench");
            visit.pick("Mother", "MU-01");
            visit.field("Diameter").fill("9");
            visit.pick("Recipe", "Moss and foil");
            assertThat(visit.see("checklist")).containsText("mm below the upper one");
            assertThat(visit.see("checklist")).containsText("milky sap can irritate");
            visit.pick("Recipe", "Soft tip");
            assertThat(visit.see("checklist")).containsText("Pull one leaf off");
            assertThat(visit.see("row-sums-0")).containsText("No ring");
            visit.pick("Recipe", "Pinned down");
            assertThat(visit.see("checklist")).containsText("75 mm to 100 mm deep");
        }
    }
}
