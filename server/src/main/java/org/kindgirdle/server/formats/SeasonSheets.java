package org.kindgirdle.server.formats;

import org.apache.pdfbox.pdmodel.PDDocument;

/** The report of a season, a page for its totals and one for each species. */
public final class SeasonSheets {

    private static final double MARGIN_MM = 18;
    private static final double TITLE_PT = 18;
    private static final double HEAD_PT = 11.5;
    private static final double TEXT_PT = 10;
    private static final double SMALL_PT = 8.5;
    private static final double ROW_MM = 6.2;
    private static final double LABEL_MM = 46;
    private static final double SHARE_MM = 34;
    private static final double NUMBER_MM = 15;
    private static final double LAST_MM = 26;
    private static final double THIN_MM = .15;
    private static final double THICK_MM = .4;
    private static final double INTERVAL_MM = 1.6;
    private static final double MARK_MM = 2.4;
    private static final float GREY = .62f;

    private final PDDocument document;
    private final PrintFont font;
    private final SeasonReport report;
    private final double widthMm;
    private final double heightMm;
    private Sheet sheet;
    private double y;

    private SeasonSheets(PDDocument document, PrintFont font, SeasonReport report) {
        this.document = document;
        this.font = font;
        this.report = report;
        this.widthMm = Paper.of(report.inches()).widthMm();
        this.heightMm = Paper.of(report.inches()).heightMm();
        this.sheet = page();
    }

    /** @return a PDF, on Letter where it is read in inches and else on A4 */
    public static byte[] of(SeasonReport report) {
        return Paper.pdf((document, font) -> new SeasonSheets(document, font, report).draw());
    }

    private Sheet page() {
        y = MARGIN_MM;
        Sheet fresh = new Sheet(document, font, widthMm, heightMm);
        fresh.text(print(report.foot()), MARGIN_MM, heightMm - MARGIN_MM / 2, false, SMALL_PT);
        return fresh;
    }

    private Sheet draw() {
        for (int i = 0; i < report.pages().size(); i++) {
            if (i > 0) {
                sheet.close();
                sheet = page();
            }
            draw(report.pages().get(i));
        }
        return sheet;
    }

    private void draw(SeasonReport.Page page) {
        y += 5;
        sheet.text(print(page.title()), MARGIN_MM, y, true, TITLE_PT);
        y += 3;
        for (String sentence : page.said()) {
            y += ROW_MM;
            sheet.text(print(sentence), MARGIN_MM, y, false, TEXT_PT);
        }
        page.tables().forEach(this::table);
        if (!page.bars().isEmpty()) {
            bars(page);
        }
    }

    /** Room for so many rows on this page: one page is what was promised. */
    private int room(int rows) {
        return (int) Math.max(0, Math.min(rows, Math.floor((heightMm - MARGIN_MM - 4 - y) / ROW_MM)));
    }

    private void head(String title) {
        y += 10;
        sheet.text(print(title), MARGIN_MM, y, true, HEAD_PT);
        y += 1.8;
        sheet.line(MARGIN_MM, y, widthMm - MARGIN_MM, y, THICK_MM);
    }

    private void table(SeasonReport.Table table) {
        if (room(table.rows().size() + 3) < 4 || table.rows().isEmpty()) {
            return;
        }
        head(table.title());
        y += 4.5;
        sheet.text(print(table.shareHead()), MARGIN_MM + LABEL_MM, y, false, SMALL_PT);
        for (int i = 0; i < table.columns().size(); i++) {
            right(table.columns().get(i), column(i, table.columns().size()), SMALL_PT);
        }
        int fit = room(table.rows().size());
        for (SeasonReport.ReportLine row : table.rows().subList(0, fit)) {
            y += ROW_MM;
            sheet.clip(MARGIN_MM, y - ROW_MM, LABEL_MM - 2, 2 * ROW_MM);
            sheet.text(print(row.label()), MARGIN_MM, y, true, TEXT_PT);
            sheet.unclip();
            share(row);
            sheet.text(print(row.words()), MARGIN_MM + LABEL_MM + SHARE_MM + 3, y, false, SMALL_PT);
            for (int i = 0; i < row.numbers().size(); i++) {
                right(row.numbers().get(i), column(i, row.numbers().size()), TEXT_PT);
            }
        }
    }

    /** The right end of a column of numbers; the last has the longest heading. */
    private double column(int number, int all) {
        double right = widthMm - MARGIN_MM;
        int before = all - 1 - number;
        return before == 0 ? right : right - LAST_MM - (before - 1) * NUMBER_MM;
    }

    private void right(String text, double end, double size) {
        sheet.text(print(text), end - sheet.widthMm(print(text), false, size), y, false, size);
    }

    /** From none to all, with the interval and the share itself on it. */
    private void share(SeasonReport.ReportLine row) {
        double from = MARGIN_MM + LABEL_MM;
        double middle = y - 1.3;
        sheet.line(from, middle, from + SHARE_MM, middle, THIN_MM);
        if (Double.isNaN(row.share())) {
            return;
        }
        double low = from + row.low() * SHARE_MM;
        double high = from + row.high() * SHARE_MM;
        sheet.fill(low, middle - INTERVAL_MM / 2, Math.max(.3, high - low), INTERVAL_MM, GREY);
        sheet.fill(from + row.share() * SHARE_MM - MARK_MM / 4, middle - MARK_MM / 2, MARK_MM / 2, MARK_MM, 0);
    }

    private void bars(SeasonReport.Page page) {
        int fit = room(page.bars().size() + 3) - 3;
        if (fit < 1) {
            return;
        }
        head(page.barsTitle());
        y += 1.5;
        int most = page.bars().get(0).count();
        double from = MARGIN_MM + LABEL_MM;
        double wide = widthMm - MARGIN_MM - from;
        for (SeasonReport.Bar bar : page.bars().subList(0, fit)) {
            y += ROW_MM;
            sheet.text(print(bar.label() + " " + bar.count()), MARGIN_MM, y, false, TEXT_PT);
            sheet.fill(from, y - 3, wide * bar.count() / most, 3.4, GREY);
        }
    }

    private String print(String text) {
        return font.printable("text", text);
    }
}
