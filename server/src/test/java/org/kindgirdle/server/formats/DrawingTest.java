package org.kindgirdle.server.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;

@ExtendWith(NurseryExtension.class)
class DrawingTest {

    /** A hundredth of a millimetre: PDF's numbers have that many places. */
    private static final Offset<Double> EXACT = within(.01);

    private final TestNursery nursery;
    private final long mother;

    DrawingTest(TestNursery nursery) {
        this.nursery = nursery;
        this.mother = nursery.mother("CYDOBL", nursery.field());
    }

    @Test
    void a_branch_is_drawn_one_to_one() throws Exception {
        try (PDDocument document = draw(TestNursery.row(18))) {
            List<Strokes.Stroke> all = Strokes.of(document.getPage(0));
            // quince bridges readily: 1.25 times 1.5 times 18 mm
            double ring = 33.75;
            List<Strokes.Stroke> cuts = all.stream()
                    .filter(one -> one.isLevel() && near(one.lengthMm(), 18))
                    .toList();
            assertThat(cuts).hasSize(2);
            assertThat(Math.abs(cuts.get(0).y1() - cuts.get(1).y1()) * 25.4 / 72)
                    .isCloseTo(ring, EXACT);
            // the sides of the limb stand as far apart as it is thick
            double left = Math.min(cuts.get(0).x1(), cuts.get(0).x2());
            double right = Math.max(cuts.get(0).x1(), cuts.get(0).x2());
            assertThat(all)
                    .filteredOn(one -> one.isUpright() && one.lengthMm() > 100)
                    .extracting(Strokes.Stroke::x1)
                    .anySatisfy(x -> assertThat(x).isCloseTo(left, within(.05)))
                    .anySatisfy(x -> assertThat(x).isCloseTo(right, within(.05)));
            // the ties stand at the ends of the ball, 30 above the upper cut and 20 below the lower
            List<Strokes.Stroke> ties = all.stream()
                    .filter(one -> one.isLevel() && near(one.lengthMm(), 18 + 6))
                    .toList();
            assertThat(ties).hasSize(2);
            assertThat(Math.abs(ties.get(0).y1() - ties.get(1).y1()) * 25.4 / 72)
                    .isCloseTo(ring + 50, EXACT);
            assertThat(new PDFTextStripper().getText(document))
                    .contains("quince", "34 mm", "Limb 18 mm", "100 mm long", "5 mm to 10 mm below a node");
        }
    }

    @Test
    void its_ruler_and_its_check_line_are_true() throws Exception {
        try (PDDocument document = draw(TestNursery.row(18))) {
            List<Strokes.Stroke> all = Strokes.of(document.getPage(0));
            assertThat(all).anySatisfy(one -> {
                assertThat(one.isLevel()).isTrue();
                assertThat(one.lengthMm()).isCloseTo(100, EXACT);
            });
            List<Double> tens = all.stream()
                    .filter(one -> one.isLevel() && near(one.lengthMm(), 8))
                    .map(Strokes.Stroke::y1)
                    .sorted()
                    .toList();
            assertThat(tens).hasSize(18);
            for (int i = 1; i < tens.size(); i++) {
                assertThat((tens.get(i) - tens.get(i - 1)) * 25.4 / 72).isCloseTo(10, EXACT);
            }
            Strokes.Stroke upperCut = all.stream()
                    .filter(one -> one.isLevel() && near(one.lengthMm(), 18))
                    .max((a, b) -> Double.compare(a.y1(), b.y1()))
                    .orElseThrow();
            assertThat(tens).anySatisfy(y -> assertThat(y).isCloseTo(upperCut.y1(), within(.03)));
        }
    }

    @Test
    void whoever_reads_inches_gets_letter_and_an_inch_ruler() throws Exception {
        Client vesper = nursery.again("vesper");
        vesper.put("/api/v1/me/units", Map.of("units", "US"));
        try (PDDocument document = draw(vesper, TestNursery.row("3/4 in"))) {
            assertThat(document.getPage(0).getMediaBox().getWidth()).isCloseTo(612, within(.1f));
            assertThat(Strokes.of(document.getPage(0)))
                    .anySatisfy(one -> assertThat(one.lengthMm()).isCloseTo(101.6, EXACT));
            assertThat(new PDFTextStripper().getText(document)).contains("Limb 0.75 in", "4 in long");
        } finally {
            vesper.put("/api/v1/me/units", Map.of("units", "METRIC"));
        }
    }

    @Test
    void the_thickest_branch_is_drawn_as_far_as_the_paper_goes_and_it_says_so() throws Exception {
        try (PDDocument document = draw(TestNursery.row(190))) {
            assertThat(new PDFTextStripper().getText(document)).contains("310 mm across (wider than the paper)");
        }
    }

    private PDDocument draw(Map<String, Object> row) throws Exception {
        return draw(nursery.grower(), row);
    }

    private PDDocument draw(Client who, Map<String, Object> row) throws Exception {
        Map<String, Object> batch = new HashMap<>(nursery.batch(mother, TestNursery.TODAY, 1));
        batch.put("rows", List.of(row));
        return Loader.loadPDF(
                who.post("/api/v1/set-drawings", batch).expect(200).bytes());
    }

    private static boolean near(double a, double b) {
        return Math.abs(a - b) < .01;
    }
}
