package org.kindgirdle.server.formats;

import java.awt.geom.Path2D;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * Branches drawn one to one, each on a page of its own, with a ruler to hold the branch against. Zero of the ruler is
 * the upper cut.
 */
public final class BranchDrawings {

    private static final double BALL_TOP_MM = 72;
    private static final double RULER_X_MM = 18;
    private static final double DRAWN_FROM_MM = 48;
    private static final double MARGIN_MM = 10;
    private static final double LIMB_TOP_MM = 44;
    private static final double LIMB_BELOW_MM = 24;
    private static final double RULER_ABOVE_MM = 50;
    private static final double RULER_BELOW_MM = 120;
    private static final double CUT_MM = .7;
    private static final double THIN_MM = .2;
    private static final double SMALL_PT = 9;
    private static final double INCH_MM = 25.4;

    private final Sheet sheet;
    private final BranchSheet branch;
    private final double widthMm;
    private final double heightMm;
    private final double centre;
    private final double upperCut;
    private final double ballBottom;

    private BranchDrawings(Sheet sheet, BranchSheet branch, double widthMm, double heightMm) {
        this.sheet = sheet;
        this.branch = branch;
        this.widthMm = widthMm;
        this.heightMm = heightMm;
        this.centre = DRAWN_FROM_MM + (widthMm - DRAWN_FROM_MM - MARGIN_MM) * .45;
        this.upperCut = BALL_TOP_MM + branch.aboveMm();
        this.ballBottom = upperCut + branch.ringMm() + branch.belowMm();
    }

    /** @return a PDF, on Letter where it is read in inches and else on A4 */
    public static byte[] of(List<BranchSheet> branches) {
        try (PDDocument document = new PDDocument()) {
            PrintFont font = PrintFont.in(document);
            for (BranchSheet branch : branches) {
                double width = branch.inches() ? 8.5 * INCH_MM : 210;
                double height = branch.inches() ? 11 * INCH_MM : 297;
                try (Sheet sheet = new Sheet(document, font, width, height)) {
                    new BranchDrawings(sheet, branch, width, height).draw(font);
                }
            }
            Printing.atFullSize(document);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void draw(PrintFont font) {
        sheet.text(font.printable("title", branch.title()), RULER_X_MM, 18, true, 15);
        double y = 18;
        for (String remark : branch.remarks()) {
            y += 5.5;
            sheet.text(font.printable("remark", remark), RULER_X_MM, y, false, 10.5);
        }
        ruler();
        sheet.clip(DRAWN_FROM_MM, LIMB_TOP_MM - 2, widthMm - DRAWN_FROM_MM - MARGIN_MM, ballBottom + LIMB_BELOW_MM);
        limb();
        ball();
        sheet.unclip();
        lengths();
        check();
    }

    private void limb() {
        double half = branch.ball().diameterMm() / 2;
        double end = ballBottom + LIMB_BELOW_MM;
        sheet.line(centre - half, LIMB_TOP_MM, centre - half, end, .4);
        sheet.line(centre + half, LIMB_TOP_MM, centre + half, end, .4);
        Double node = branch.nodeAboveMm();
        if (node != null) {
            Path2D bump = new Path2D.Double();
            double y = upperCut - node;
            bump.moveTo(centre - half - 1.5, y);
            bump.curveTo(centre - half, y + 2.5, centre + half, y + 2.5, centre + half + 1.5, y);
            sheet.outline(bump, .5);
        }
        if (branch.ringMm() > 0) {
            sheet.fill(centre - half, upperCut, 2 * half, branch.ringMm(), .9f);
            sheet.line(centre - half, upperCut, centre + half, upperCut, CUT_MM);
            sheet.line(centre - half, upperCut + branch.ringMm(), centre + half, upperCut + branch.ringMm(), CUT_MM);
            // the slit that joins the cuts
            sheet.line(centre, upperCut, centre, upperCut + branch.ringMm(), THIN_MM);
        }
    }

    private void ball() {
        double half = branch.ball().diameterMm() / 2;
        double radius = branch.ball().ballDiameterMm() / 2;
        if (radius > half) {
            sheet.outline(ballOutline(half, radius), .35);
            if (!branch.cover().isEmpty()) {
                sheet.outline(ballOutline(half + 1.5, radius + 1.5), .8);
            }
        }
        for (double tie : branch.tied() ? new double[] {BALL_TOP_MM, ballBottom} : new double[0]) {
            sheet.line(centre - half - 3, tie, centre + half + 3, tie, 1.2);
        }
        if (branch.prop()) {
            sheet.line(centre + half + 1, ballBottom + 4, centre + half + 22, ballBottom + LIMB_BELOW_MM, 1.6);
        }
    }

    private Path2D ballOutline(double neck, double radius) {
        double middle = (BALL_TOP_MM + ballBottom) / 2;
        double bulge = (ballBottom - BALL_TOP_MM) / 2 * .6;
        double shoulder = neck + (radius - neck) * .66;
        Path2D path = new Path2D.Double();
        for (int side : new int[] {-1, 1}) {
            path.moveTo(centre + side * neck, BALL_TOP_MM);
            path.curveTo(
                    centre + side * shoulder,
                    BALL_TOP_MM,
                    centre + side * radius,
                    middle - bulge,
                    centre + side * radius,
                    middle);
            path.curveTo(
                    centre + side * radius,
                    middle + bulge,
                    centre + side * shoulder,
                    ballBottom,
                    centre + side * neck,
                    ballBottom);
        }
        return path;
    }

    private void lengths() {
        double x = widthMm - MARGIN_MM - 32;
        if (branch.ringMm() > 0) {
            length(x, BALL_TOP_MM, upperCut, mm(branch.aboveMm()), "above the upper cut");
            length(x, upperCut, upperCut + branch.ringMm(), mm(branch.ringMm()), "ring");
            length(x, upperCut + branch.ringMm(), ballBottom, mm(branch.belowMm()), "below the lower");
        } else {
            length(x, BALL_TOP_MM, ballBottom, mm(ballBottom - BALL_TOP_MM), "nothing is cut");
        }
        double below = ballBottom + LIMB_BELOW_MM + 6;
        sheet.text("Limb " + mm(branch.ball().diameterMm()), DRAWN_FROM_MM, below, true, SMALL_PT + 1);
        StringBuilder said = new StringBuilder();
        if (branch.ball().ballDiameterMm() > branch.ball().diameterMm()) {
            said.append("ball ").append(mm(branch.ball().ballDiameterMm())).append(" across");
            if (branch.ball().ballDiameterMm() > widthMm - DRAWN_FROM_MM - MARGIN_MM) {
                said.append(" (wider than the paper)");
            }
        }
        if (branch.tied()) {
            said.append(said.isEmpty() ? "" : ", ").append("a tie at each end");
        }
        if (!branch.cover().isEmpty()) {
            said.append(", ").append(branch.cover()).append(" over it");
        }
        if (branch.prop()) {
            said.append(", propped");
        }
        sheet.text(said.toString(), DRAWN_FROM_MM, below + 5, false, SMALL_PT);
        sheet.text("Tip", centre + branch.ball().diameterMm() / 2 + 3, LIMB_TOP_MM + 3, false, SMALL_PT);
        sheet.text(
                "Union", centre + branch.ball().diameterMm() / 2 + 3, ballBottom + LIMB_BELOW_MM - 1, false, SMALL_PT);
    }

    private void length(double x, double from, double to, String length, String what) {
        sheet.line(x, from, x, to, .5);
        sheet.line(x - 1.5, from, x + 1.5, from, .3);
        sheet.line(x - 1.5, to, x + 1.5, to, .3);
        sheet.text(length, x + 2.5, (from + to) / 2, true, SMALL_PT);
        sheet.text(what, x + 2.5, (from + to) / 2 + 3.6, false, SMALL_PT - 2);
    }

    private void ruler() {
        sheet.text("0 = upper cut", RULER_X_MM, upperCut - RULER_ABOVE_MM - 2, false, SMALL_PT - 1);
        sheet.line(RULER_X_MM, upperCut - RULER_ABOVE_MM, RULER_X_MM, upperCut + RULER_BELOW_MM, .3);
        // eighths of an inch, or millimetres
        double step = branch.inches() ? INCH_MM / 8 : 1;
        int whole = branch.inches() ? 8 : 10;
        int half = whole / 2;
        for (int tick = (int) -Math.floor(RULER_ABOVE_MM / step); tick * step <= RULER_BELOW_MM; tick++) {
            boolean isWhole = tick % whole == 0;
            double y = upperCut + tick * step;
            double long_ = isWhole ? 8 : tick % half == 0 ? 5.5 : 3.5;
            sheet.line(RULER_X_MM, y, RULER_X_MM + long_, y, isWhole ? .35 : THIN_MM);
            if (isWhole) {
                String number = String.valueOf(Math.abs(branch.inches() ? tick / whole : tick));
                sheet.text(number, RULER_X_MM + 9, y + 1.1, tick == 0, SMALL_PT - 1);
            }
        }
    }

    private void check() {
        double length = branch.inches() ? 4 * INCH_MM : 100;
        double y = heightMm - 16;
        sheet.line(RULER_X_MM, y, RULER_X_MM + length, y, .5);
        for (double x : new double[] {RULER_X_MM, RULER_X_MM + length}) {
            sheet.line(x, y - 2, x, y + 2, .3);
        }
        sheet.text(
                "This line is " + (branch.inches() ? "4 in" : "100 mm")
                        + " long. If it is not, print again at 100 %, not fitted to the page.",
                RULER_X_MM,
                y + 6,
                false,
                SMALL_PT);
    }

    private String mm(double mm) {
        return branch.inches() ? String.format(Locale.ROOT, "%.2f in", mm / INCH_MM) : Math.round(mm) + " mm";
    }
}
