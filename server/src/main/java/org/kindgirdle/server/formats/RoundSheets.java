package org.kindgirdle.server.formats;

import org.apache.pdfbox.pdmodel.PDDocument;

/** A walk on paper, by place in walking order: a box for each layer, the stages to tick, and a line to write on. */
public final class RoundSheets {

    private static final double MARGIN_MM = 14;
    private static final double ROW_MM = 17;
    private static final double HEAD_MM = 9;
    private static final double BOX_MM = 4.2;
    private static final double SMALL_BOX_MM = 3.2;
    private static final double THIN_MM = .25;
    private static final double THICK_MM = .6;
    private static final double CODE_MM = 28;
    private static final double TITLE_PT = 16;
    private static final double CODE_PT = 13;
    private static final double TEXT_PT = 10.5;
    private static final double SMALL_PT = 8.5;

    private final PDDocument document;
    private final PrintFont font;
    private final RoundSheet walk;
    private final double widthMm;
    private final double heightMm;
    private Sheet sheet;
    private double y;

    private RoundSheets(PDDocument document, PrintFont font, RoundSheet walk) {
        this.document = document;
        this.font = font;
        this.walk = walk;
        this.widthMm = Paper.of(walk.inches()).widthMm();
        this.heightMm = Paper.of(walk.inches()).heightMm();
        this.sheet = new Sheet(document, font, widthMm, heightMm);
        this.y = MARGIN_MM;
    }

    /** @return a PDF, on Letter where it is read in inches and else on A4 */
    public static byte[] of(RoundSheet walk) {
        return Paper.pdf((document, font) -> new RoundSheets(document, font, walk).draw());
    }

    private Sheet draw() {
        y += 6;
        text(walk.title(), MARGIN_MM, true, TITLE_PT);
        y += 6;
        text(walk.sum(), MARGIN_MM, false, TEXT_PT);
        y += 3;
        for (RoundSheet.AtPlace place : walk.places()) {
            room(HEAD_MM + ROW_MM);
            head(place.place());
            for (RoundSheet.SheetLine row : place.rows()) {
                if (room(ROW_MM)) {
                    head(place.place());
                }
                row(row);
            }
        }
        return sheet;
    }

    /** A new page where this one is full. @return whether it is a new one */
    private boolean room(double mm) {
        if (y + mm <= heightMm - MARGIN_MM) {
            return false;
        }
        sheet.close();
        sheet = new Sheet(document, font, widthMm, heightMm);
        y = MARGIN_MM;
        return true;
    }

    private void head(String place) {
        y += HEAD_MM - 2;
        text(place, MARGIN_MM, true, TEXT_PT);
        y += 2;
        sheet.line(MARGIN_MM, y, widthMm - MARGIN_MM, y, THICK_MM);
    }

    private void row(RoundSheet.SheetLine row) {
        double right = widthMm - MARGIN_MM;
        double line = y + 6;
        box(MARGIN_MM, line - BOX_MM + .6, BOX_MM);
        double x = MARGIN_MM + BOX_MM + 2.5;
        sheet.text(print(row.code()), x, line, true, CODE_PT);
        x += CODE_MM;
        double dueMm = sheet.widthMm(print(row.due()), false, TEXT_PT);
        sheet.text(print(row.due()), right - dueMm, line, false, TEXT_PT);
        sheet.clip(x, y, right - dueMm - 2 - x, ROW_MM);
        sheet.text(print(row.job()), x, line, true, TEXT_PT);
        sheet.text(print(row.what()), x + sheet.widthMm(print(row.job()), true, TEXT_PT) + 3, line, false, TEXT_PT);
        sheet.unclip();
        line += 6.5;
        if (row.ticks()) {
            for (String sign : walk.signs()) {
                box(x, line - SMALL_BOX_MM + .4, SMALL_BOX_MM);
                sheet.text(print(sign), x + SMALL_BOX_MM + 1, line, false, SMALL_PT);
                x += SMALL_BOX_MM + sheet.widthMm(print(sign), false, SMALL_PT) + 4;
            }
        }
        sheet.line(x, line + .5, right, line + .5, THIN_MM);
        sheet.text(print(row.seen()), MARGIN_MM + BOX_MM + 2.5, line, false, SMALL_PT);
        y += ROW_MM;
        sheet.line(MARGIN_MM, y, right, y, THIN_MM);
    }

    private void box(double x, double top, double size) {
        sheet.line(x, top, x + size, top, THIN_MM);
        sheet.line(x, top + size, x + size, top + size, THIN_MM);
        sheet.line(x, top, x, top + size, THIN_MM);
        sheet.line(x + size, top, x + size, top + size, THIN_MM);
    }

    private void text(String text, double x, boolean bold, double size) {
        sheet.text(print(text), x, y, bold, size);
    }

    private String print(String text) {
        return font.printable("text", text);
    }
}
