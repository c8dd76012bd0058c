package org.kindgirdle.server.formats;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;

/** Lays labels out on sheets. Nothing is cut off: what is long is wrapped, and set smaller until it fits. */
final class LabelSheets {

    private static final double MAX_PADDING_MM = 1.5;
    private static final double QR_SHARE = .42;
    private static final double MAX_CODE_PT = 22;
    private static final double MAX_LINE_PT = 10;
    private static final double LEAST_LINE_PT = 3.5;
    private static final double STEP_PT = .25;
    private static final double LEADING = 1.18;

    private final LabelGrid grid;
    private final PrintFont font;

    private LabelSheets(LabelGrid grid, PrintFont font) {
        this.grid = grid;
        this.font = font;
    }

    /**
     * @param start the position of the first label on the first sheet, from 1, for a sheet that is partly used
     * @return a PDF
     */
    static byte[] of(List<Label> labels, LabelGrid grid, int start) {
        try (PDDocument document = new PDDocument()) {
            LabelSheets sheets = new LabelSheets(grid, PrintFont.in(document));
            List<Label> printable = new ArrayList<>();
            for (Label label : labels) {
                printable.add(new Label(
                        label.address(),
                        // a mother's code may be in any script
                        sheets.font.printable(label.code(), label.code()),
                        label.lines().stream()
                                .map(line -> sheets.font.printable(label.code(), line))
                                .toList()));
            }
            sheets.draw(document, printable, start - 1);
            Printing.atFullSize(document);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void draw(PDDocument document, List<Label> labels, int skipped) {
        int next = 0;
        while (next < labels.size()) {
            try (Sheet sheet = new Sheet(document, font, grid.pageWidthMm(), grid.pageHeightMm())) {
                for (int at = next == 0 ? skipped : 0; at < grid.labels() && next < labels.size(); at++) {
                    draw(sheet, labels.get(next), grid.xMm(at), grid.yMm(at));
                    next++;
                }
            }
        }
    }

    private void draw(Sheet sheet, Label label, double x, double y) {
        double padding = Math.min(MAX_PADDING_MM, grid.labelHeightMm() * .06);
        double qr = Math.min(grid.labelHeightMm() - 2 * padding, grid.labelWidthMm() * QR_SHARE);
        QrCode.draw(sheet, label.address(), x + padding, y + (grid.labelHeightMm() - qr) / 2, qr);
        double left = x + padding + qr + padding / 2;
        double widthPt = (x + grid.labelWidthMm() - padding - left) * Sheet.POINTS_A_MM;
        double heightPt = (grid.labelHeightMm() - 2 * padding) * Sheet.POINTS_A_MM;
        double codePt = codeSize(label.code(), widthPt, heightPt);
        double linePt = MAX_LINE_PT;
        List<String> lines = wrapped(label, widthPt, linePt);
        while (codePt + lines.size() * linePt * LEADING > heightPt) {
            linePt -= STEP_PT;
            if (linePt < LEAST_LINE_PT) {
                throw ProblemException.invalid(
                        label.code(),
                        String.join("; ", label.lines()),
                        Refusals.say(
                                "label.size.allowed", "width", grid.labelWidthMm(), "height", grid.labelHeightMm()),
                        Refusals.say("label.size"));
            }
            lines = wrapped(label, widthPt, linePt);
        }
        double blockMm = (codePt + lines.size() * linePt * LEADING) / Sheet.POINTS_A_MM;
        double top = y + (grid.labelHeightMm() - blockMm) / 2;
        sheet.text(label.code(), left, top + codePt * .8 / Sheet.POINTS_A_MM, true, codePt);
        double baseline = top + codePt / Sheet.POINTS_A_MM;
        for (String line : lines) {
            baseline += linePt * LEADING / Sheet.POINTS_A_MM;
            sheet.text(line, left, baseline, false, linePt);
        }
    }

    private double codeSize(String code, double widthPt, double heightPt) {
        double perPoint = font.width(code, true, 1);
        return Math.min(Math.min(MAX_CODE_PT, heightPt / 3), widthPt / perPoint);
    }

    private List<String> wrapped(Label label, double widthPt, double size) {
        List<String> lines = new ArrayList<>();
        label.lines().stream()
                .filter(line -> !line.isEmpty())
                .forEach(line -> lines.addAll(wrapped(line, widthPt, size)));
        return lines;
    }

    /** Breaks at spaces; a word that is wider than the label is broken where it must be. */
    private List<String> wrapped(String text, double widthPt, double size) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : text.split(" ")) {
            String joined = line.isEmpty() ? word : line + " " + word;
            if (font.width(joined, false, size) <= widthPt) {
                line = new StringBuilder(joined);
                continue;
            }
            if (!line.isEmpty()) {
                lines.add(line.toString());
            }
            line = new StringBuilder();
            for (int sign : word.codePoints().toArray()) {
                if (font.width(line + Character.toString(sign), false, size) > widthPt && !line.isEmpty()) {
                    lines.add(line.toString());
                    line = new StringBuilder();
                }
                line.appendCodePoint(sign);
            }
        }
        lines.add(line.toString());
        return lines;
    }
}
