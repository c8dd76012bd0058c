package org.kindgirdle.server.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.Result;
import com.google.zxing.client.j2se.BufferedImageLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.multi.qrcode.QRCodeMultiReader;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;

@ExtendWith(NurseryExtension.class)
class LabelsTest {

    private static final int DPI = 200;
    private static final double MM = 72 / 25.4;

    private final TestNursery nursery;

    LabelsTest(TestNursery nursery) {
        this.nursery = nursery;
    }

    static Stream<LabelGrid> grids() {
        return LabelGrid.COMMON.stream();
    }

    @Test
    void an_empty_id_among_the_mothers_is_said_and_is_no_fault_of_ours() {
        for (String ids : new String[] {"%00", "1,%00"}) {
            assertThat(nursery.grower()
                            .get("/api/v1/labels.pdf?mothers=" + ids)
                            .expect(400)
                            .body()
                            .toString())
                    .contains("mothers");
        }
        // its brother: recipes that are compared
        nursery.grower().get("/api/v1/recipe-differences?recipes=1,%00").expect(400);
    }

    @Test
    void a_batch_is_printed_from_the_next_free_place_and_each_code_leads_to_its_layer() throws Exception {
        long mother = nursery.mother("CYDOBL", nursery.field());
        List<String> codes = nursery.set(mother, TestNursery.TODAY, 3);
        byte[] pdf = print("codes=" + String.join(",", codes) + "&grid=A4_3x7&start=20");
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
            assertThat(addresses(document, 0)).containsExactlyInAnyOrder(page(codes.get(0)), page(codes.get(1)));
            assertThat(addresses(document, 1)).containsExactly(page(codes.get(2)));
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(text).contains(codes.get(0), "Quern Gold", "10 Jul 2026", "Moss and foil");
            // the 20th place of a sheet of three columns is the second of the last row
            LabelGrid grid = LabelGrid.find("A4_3x7").orElseThrow();
            List<TextPosition> first = written(document, 0);
            assertThat(first.get(0).getXDirAdj() / MM).isBetween(grid.xMm(19), grid.xMm(20));
            assertThat(first.get(0).getYDirAdj() / MM).isBetween(grid.yMm(19), grid.yMm(19) + 38.1);
            assertThat(document.getDocumentCatalog().getViewerPreferences().getPrintScaling())
                    .isEqualTo("None");
        }
    }

    @Test
    void one_label_is_printed_again_and_so_are_a_whole_batch_and_mothers() throws Exception {
        long mother = nursery.mother("CYDOBL", nursery.field());
        Client.Answer set = nursery.grower()
                .post("/api/v1/batches", nursery.batch(mother, TestNursery.TODAY, 2))
                .expect(201);
        String batch = set.body().path("batchId").asString();
        try (PDDocument document = Loader.loadPDF(print("batch=" + batch + "&grid=ROLL_57x32"))) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
            assertThat(addresses(document, 0))
                    .containsExactly(page(set.body().at("/codes/0").asString()));
        }
        try (PDDocument document = Loader.loadPDF(print("mothers=" + mother + "&grid=LETTER_3x10"))) {
            assertThat(addresses(document, 0)).containsExactly(nursery.base() + "/stock/" + mother);
        }
        nursery.grower().get("/api/v1/labels.pdf?codes=234-52").expect(404);
        nursery.grower()
                .get("/api/v1/labels.pdf?batch=00000000-0000-0000-0000-000000000009")
                .expect(404);
        assertThat(nursery.grower().get("/api/v1/labels.pdf").expect(400).fields())
                .containsExactly("codes");
    }

    @ParameterizedTest
    @MethodSource("grids")
    void the_longest_names_stay_on_every_label_and_its_code_can_be_read(LabelGrid grid) throws Exception {
        List<Label> labels = IntStream.range(0, grid.labels())
                .mapToObj(i -> new Label(
                        "https://nursery.example:8443/layers/7KM-4X",
                        "7KM-4X",
                        List.of(
                                "Persian ironwood " + "Ашдрейкский пурпурный великан ".repeat(2),
                                "on Τ-" + "Κυδωνιά".repeat(3) + ", 10 Jul 2026",
                                "A recipe with a name as long as any that House takes, sixty.")))
                .toList();
        try (PDDocument document = Loader.loadPDF(LabelSheets.of(labels, grid, 1))) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            for (TextPosition sign : written(document, 0)) {
                double x = sign.getXDirAdj() / MM;
                double y = sign.getYDirAdj() / MM;
                int column = (int) ((x - grid.leftMm()) / grid.acrossMm());
                int row = (int) ((y - grid.topMm()) / grid.downMm());
                double right = grid.xMm(column) + grid.labelWidthMm();
                assertThat(x + sign.getWidthDirAdj() / MM).isLessThanOrEqualTo(right);
                assertThat(y).isLessThanOrEqualTo(grid.yMm(row * grid.columns()) + grid.labelHeightMm());
            }
            assertThat(new PDFTextStripper().getText(document).replaceAll("\\s", ""))
                    .contains("Ашдрейкский", "ΤΚυδωνιά".substring(1), "sixty.");
            assertThat(decode(label(document, grid))).isEqualTo("https://nursery.example:8443/layers/7KM-4X");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"شجرة السفرجل", "カリン", "שקד", "айва 🌳"})
    void what_would_print_wrong_is_refused_with_a_word(String variety) {
        assertThatThrownBy(() -> LabelSheets.of(
                        List.of(new Label("https://nursery.example", "7KM-4X", List.of(variety))),
                        LabelGrid.COMMON.get(0),
                        1))
                .isInstanceOf(ProblemException.class)
                .satisfies(refused -> assertThat(
                                ((ProblemException) refused).violations().get(0))
                        .satisfies(violation -> {
                            assertThat(violation.field()).isEqualTo("7KM-4X");
                            assertThat(violation.allowed()).isEqualTo(Refusals.say("label.script.allowed"));
                        }));
    }

    @Test
    void a_mother_with_such_a_name_is_refused_over_http() {
        long mother = nursery.mother("CYDOBL", nursery.field());
        nursery.grower()
                .post(
                        "/api/v1/mothers/" + mother + "/relabelling",
                        Map.of("speciesCode", "CYDOBL", "variety", "カリン", "reason", "its label", "version", 0))
                .expect(200);
        String code = nursery.set(mother, TestNursery.TODAY, 1).get(0);
        Client.Answer refused =
                nursery.grower().get("/api/v1/labels.pdf?codes=" + code).expect(400);
        assertThat(refused.fields()).containsExactly(code);
    }

    @Test
    void a_mother_whose_code_can_not_be_printed_is_refused_with_her_code() {
        Map<String, Object> body = new HashMap<>(TestNursery.motherBody("桑-1", "CYDOBL", nursery.field()));
        long mother = nursery.grower()
                .post("/api/v1/mothers", body)
                .expect(201)
                .body()
                .path("id")
                .asLong();
        Client.Answer refused =
                nursery.grower().get("/api/v1/labels.pdf?mothers=" + mother).expect(400);
        assertThat(refused.fields()).containsExactly("桑-1");
        String code = nursery.set(mother, TestNursery.TODAY, 1).get(0);
        nursery.grower().get("/api/v1/labels.pdf?codes=" + code).expect(400);
        assertThat(nursery.grower().get("/api/v1/round-sheet").status()).isLessThan(500);
    }

    @Test
    void a_sheet_of_ones_own_is_taken_by_its_dimensions_if_its_labels_lie_on_it() throws Exception {
        long mother = nursery.mother("CYDOBL", nursery.field());
        String code = nursery.set(mother, TestNursery.TODAY, 1).get(0);
        String own = "OWN:210,297,2,6,90,45,10,12,95,46";
        try (PDDocument document = Loader.loadPDF(print("codes=" + code + "&start=4&grid=" + own))) {
            TextPosition first = written(document, 0).get(0);
            assertThat(first.getXDirAdj() / MM).isBetween(105.0, 195.0);
            assertThat(first.getYDirAdj() / MM).isBetween(58.0, 103.0);
        }
        for (String bad : List.of(
                "OWN:210,297,3,6,90,45,10,12,95,46", "OWN:210,297,2,6,90,45,10,12,60,46", "OWN:1,2", "A4_9x9")) {
            assertThat(nursery.grower()
                            .get("/api/v1/labels.pdf?codes=" + code + "&grid=" + bad)
                            .expect(400)
                            .fields())
                    .containsExactly("grid");
        }
        assertThat(nursery.grower()
                        .get("/api/v1/labels.pdf?codes=" + code + "&start=25")
                        .expect(400)
                        .fields())
                .containsExactly("start");
        assertThat(nursery.grower().get("/api/v1/label-grids").body()).hasSize(LabelGrid.COMMON.size());
    }

    @Test
    void the_common_grids_lie_on_their_pages() {
        assertThat(LabelGrid.COMMON).allMatch(LabelGrid::fits);
        LabelGrid grid = LabelGrid.find("LETTER_3x10").orElseThrow();
        assertThat(grid.xMm(5)).isCloseTo(4.7625 + 2 * 69.85, within(1e-9));
        assertThat(grid.yMm(5)).isCloseTo(12.7 + 25.4, within(1e-9));
    }

    private byte[] print(String query) {
        Client.Answer answer =
                nursery.grower().get("/api/v1/labels.pdf?" + query).expect(200);
        assertThat(answer.headers().get("content-type")).containsExactly("application/pdf");
        return answer.bytes();
    }

    private String page(String code) {
        return nursery.base() + "/layers/" + code;
    }

    private static List<TextPosition> written(PDDocument document, int page) throws IOException {
        List<TextPosition> all = new ArrayList<>();
        PDFTextStripper stripper = new PDFTextStripper() {
            @Override
            protected void processTextPosition(TextPosition sign) {
                all.add(sign);
            }
        };
        stripper.setStartPage(page + 1);
        stripper.setEndPage(page + 1);
        stripper.getText(document);
        return all;
    }

    private static List<String> addresses(PDDocument document, int page) throws Exception {
        BufferedImage image = new PDFRenderer(document).renderImageWithDPI(page, DPI);
        Map<DecodeHintType, Object> hints = new HashMap<>(Map.of(DecodeHintType.TRY_HARDER, true));
        List<String> found = new ArrayList<>();
        for (Result one : new QRCodeMultiReader().decodeMultiple(bitmap(image), hints)) {
            found.add(one.getText());
        }
        return found;
    }

    /** The last label of a page, as a scanner sees it. */
    private static BufferedImage label(PDDocument document, LabelGrid grid) throws IOException {
        BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, DPI);
        double dots = DPI / 25.4;
        int last = grid.labels() - 1;
        int x = (int) (grid.xMm(last) * dots);
        int y = (int) (grid.yMm(last) * dots);
        return image.getSubimage(x, y, (int) Math.min(image.getWidth() - x, grid.labelWidthMm() * dots), (int)
                Math.min(image.getHeight() - y, grid.labelHeightMm() * dots));
    }

    private static String decode(BufferedImage image) throws Exception {
        return new QRCodeReader()
                .decode(bitmap(image), Map.of(DecodeHintType.TRY_HARDER, true))
                .getText();
    }

    private static BinaryBitmap bitmap(BufferedImage image) {
        return new BinaryBitmap(new HybridBinarizer(new BufferedImageLuminanceSource(image)));
    }
}
