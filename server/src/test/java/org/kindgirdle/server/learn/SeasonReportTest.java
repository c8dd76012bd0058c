package org.kindgirdle.server.learn;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.Said;
import org.kindgirdle.server.harness.TestNursery;

@ExtendWith(NurseryExtension.class)
class SeasonReportTest {

    private final TestNursery nursery;

    SeasonReportTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    @Test
    void a_page_of_totals_is_followed_by_one_for_each_species_with_the_numbers_of_the_ledger() throws IOException {
        int year = 2024;
        for (String species : new String[] {"CYDOBL", "MESGER"}) {
            long mother = nursery.mother(species, nursery.field());
            var codes = nursery.set(mother, TestNursery.TODAY.withYear(year), 3);
            nursery.record(
                            codes.get(0),
                            Map.of("kind", "SEVERED", "details", Map.of("leavesBefore", 9, "leavesLeft", 4)))
                    .expect(201);
            nursery.record(codes.get(1), Map.of("kind", "LOST", "details", Map.of("cause", "ROTTED")))
                    .expect(201);
        }
        try (PDDocument report = Loader.loadPDF(nursery.viewer()
                .get("/api/v1/season-report?year=" + year)
                .expect(200)
                .bytes())) {
            assertThat(report.getNumberOfPages()).isEqualTo(3);
            PDFTextStripper text = new PDFTextStripper();
            text.setEndPage(1);
            assertThat(text.getText(report))
                    .containsPattern(Said.by("report.title", "year", 2024))
                    .containsPattern(Said.by("report.set", "set", 6))
                    .containsPattern(Said.by("report.known", "known", 4, "rooted", 2))
                    .contains("Quince", "Medlar", "1 of 2", "few", "rotted 2");
            text.setStartPage(2);
            text.setEndPage(3);
            assertThat(text.getText(report))
                    .contains("Quince, 2024", "Medlar, 2024", "By recipe", "Moss and foil", "By mother", "rotted 1");
        }
    }

    @Test
    void a_year_without_layers_is_a_page_that_says_so() throws IOException {
        try (PDDocument report = Loader.loadPDF(nursery.viewer()
                .get("/api/v1/season-report?year=1999")
                .expect(200)
                .bytes())) {
            assertThat(report.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(report)).contains("0 layers were set");
        }
        assertThat(nursery.viewer()
                        .get("/api/v1/season-report?year=12")
                        .expect(400)
                        .fields())
                .containsExactly("year");
    }
}
