package org.kindgirdle.server.formats;

import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;

/** The papers of a plant on one page. */
public final class PassportSheets {

    private static final double MARGIN_MM = 20;
    private static final double LABEL_MM = 42;
    private static final double LINE_MM = 6;
    private static final double CODE_PT = 26;
    private static final double TITLE_PT = 15;
    private static final double TEXT_PT = 10.5;
    private static final double SMALL_PT = 8.5;
    private static final double RULE_MM = .4;

    private final Sheet sheet;
    private final PrintFont font;
    private final Passport passport;
    private final double widthMm;
    private final double heightMm;
    private double y = MARGIN_MM;

    private PassportSheets(PDDocument document, PrintFont font, Passport passport) {
        this.font = font;
        this.passport = passport;
        this.widthMm = Paper.of(passport.inches()).widthMm();
        this.heightMm = Paper.of(passport.inches()).heightMm();
        this.sheet = new Sheet(document, font, widthMm, heightMm);
    }

    /** @return a PDF of one page, on Letter where it is read in inches and else on A4 */
    public static byte[] of(Passport passport) {
        return Paper.pdf((document, font) -> new PassportSheets(document, font, passport).draw());
    }

    private Sheet draw() {
        y += 6;
        text(passport.code(), MARGIN_MM, true, CODE_PT);
        y += 10;
        text(passport.title(), MARGIN_MM, true, TITLE_PT);
        y += 4;
        rule();
        passport.facts().forEach(this::line);
        y += 2;
        rule();
        double foot = MARGIN_MM + (passport.small().size() + 1) * LINE_MM;
        for (Passport.Line line : passport.history()) {
            // one page is what was promised: what does not fit on it stands in the records
            if (y + LINE_MM > heightMm - foot) {
                y += LINE_MM;
                text("…", MARGIN_MM, false, TEXT_PT);
                break;
            }
            line(line);
        }
        y = heightMm - foot + LINE_MM;
        rule();
        for (String small : passport.small()) {
            y += LINE_MM - 1;
            text(small, MARGIN_MM, false, SMALL_PT);
        }
        return sheet;
    }

    private void rule() {
        y += 2;
        sheet.line(MARGIN_MM, y, widthMm - MARGIN_MM, y, RULE_MM);
        y += 2;
    }

    private void line(Passport.Line line) {
        y += LINE_MM;
        text(line.label(), MARGIN_MM, true, TEXT_PT);
        List<String> rows = wrapped(line.text(), widthMm - 2 * MARGIN_MM - LABEL_MM);
        for (int i = 0; i < rows.size(); i++) {
            y += i == 0 ? 0 : LINE_MM - 1;
            text(rows.get(i), MARGIN_MM + LABEL_MM, false, TEXT_PT);
        }
    }

    private List<String> wrapped(String text, double most) {
        List<String> rows = new ArrayList<>();
        StringBuilder row = new StringBuilder();
        for (String word : print(text).split(" ")) {
            String longer = row.isEmpty() ? word : row + " " + word;
            if (!row.isEmpty() && sheet.widthMm(longer, false, TEXT_PT) > most) {
                rows.add(row.toString());
                row = new StringBuilder(word);
            } else {
                row = new StringBuilder(longer);
            }
        }
        rows.add(row.toString());
        return rows;
    }

    private void text(String text, double x, boolean bold, double size) {
        sheet.text(print(text), x, y, bold, size);
    }

    private String print(String text) {
        return font.printable("text", text);
    }
}
