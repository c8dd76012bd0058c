package org.kindgirdle.server.formats;

import java.awt.geom.Point2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;

/** The straight strokes of a page, in its own units of 1/72 inch. */
final class Strokes extends PDFGraphicsStreamEngine {

    /** From one point to another. */
    record Stroke(double x1, double y1, double x2, double y2) {

        double lengthMm() {
            return Math.hypot(x2 - x1, y2 - y1) * 25.4 / 72;
        }

        boolean isLevel() {
            return Math.abs(y1 - y2) < 1e-3;
        }

        boolean isUpright() {
            return Math.abs(x1 - x2) < 1e-3;
        }
    }

    private final List<Stroke> pending = new ArrayList<>();
    private final List<Stroke> all = new ArrayList<>();
    private Point2D at = new Point2D.Double();

    private Strokes(PDPage page) {
        super(page);
    }

    static List<Stroke> of(PDPage page) throws IOException {
        Strokes strokes = new Strokes(page);
        strokes.processPage(page);
        return strokes.all;
    }

    @Override
    public void moveTo(float x, float y) {
        at = new Point2D.Double(x, y);
    }

    @Override
    public void lineTo(float x, float y) {
        pending.add(new Stroke(at.getX(), at.getY(), x, y));
        at = new Point2D.Double(x, y);
    }

    @Override
    public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
        at = new Point2D.Double(x3, y3);
    }

    @Override
    public Point2D getCurrentPoint() {
        return at;
    }

    @Override
    public void strokePath() {
        all.addAll(pending);
        pending.clear();
    }

    @Override
    public void endPath() {
        pending.clear();
    }

    @Override
    public void fillPath(int rule) {
        pending.clear();
    }

    @Override
    public void fillAndStrokePath(int rule) {
        strokePath();
    }

    @Override
    public void appendRectangle(Point2D a, Point2D b, Point2D c, Point2D d) {}

    @Override
    public void drawImage(PDImage image) {}

    @Override
    public void clip(int rule) {}

    @Override
    public void closePath() {}

    @Override
    public void shadingFill(COSName name) {}
}
