package org.kindgirdle.server.formats;

import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** A page that is drawn on in millimetres, from its upper left corner to the right and down. */
final class Sheet implements AutoCloseable {

    /** 72 points are an inch, by the definition of PDF's default user space (ISO 32000). */
    static final double POINTS_A_MM = 72 / 25.4;

    private final PDPageContentStream out;
    private final PrintFont font;
    private final double heightMm;

    Sheet(PDDocument document, PrintFont font, double widthMm, double heightMm) {
        PDPage page = new PDPage(new PDRectangle(points(widthMm), points(heightMm)));
        document.addPage(page);
        this.font = font;
        this.heightMm = heightMm;
        try {
            this.out = new PDPageContentStream(document, page);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private interface Draws {
        void draw() throws IOException;
    }

    private static void draw(Draws draws) {
        try {
            draws.draw();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static float points(double mm) {
        return (float) (mm * POINTS_A_MM);
    }

    private float y(double mm) {
        return points(heightMm - mm);
    }

    /** @param widthMm of the stroke */
    void line(double x1, double y1, double x2, double y2, double widthMm) {
        draw(() -> {
            out.setLineWidth(points(widthMm));
            out.moveTo(points(x1), y(y1));
            out.lineTo(points(x2), y(y2));
            out.stroke();
        });
    }

    /** A filled rectangle. */
    void fill(double x, double y, double width, double height, float grey) {
        draw(() -> {
            out.setNonStrokingColor(grey);
            out.addRect(points(x), y(y + height), points(width), points(height));
            out.fill();
            out.setNonStrokingColor(0f);
        });
    }

    /** The outline of a shape, in millimetres. */
    void outline(Path2D shape, double widthMm) {
        draw(() -> {
            out.setLineWidth(points(widthMm));
            double[] at = new double[6];
            for (PathIterator path = shape.getPathIterator(null); !path.isDone(); path.next()) {
                switch (path.currentSegment(at)) {
                    case PathIterator.SEG_MOVETO -> out.moveTo(points(at[0]), y(at[1]));
                    case PathIterator.SEG_LINETO -> out.lineTo(points(at[0]), y(at[1]));
                    case PathIterator.SEG_CUBICTO ->
                        out.curveTo(points(at[0]), y(at[1]), points(at[2]), y(at[3]), points(at[4]), y(at[5]));
                    case PathIterator.SEG_CLOSE -> out.closePath();
                    default -> throw new IllegalArgumentException("a shape of lines and cubic curves is wanted");
                }
            }
            out.stroke();
        });
    }

    /** Nothing that is drawn from here to {@link #unclip} leaves this rectangle. */
    void clip(double x, double y, double width, double height) {
        draw(() -> {
            out.saveGraphicsState();
            out.addRect(points(x), y(y + height), points(width), points(height));
            out.clip();
        });
    }

    void unclip() {
        draw(out::restoreGraphicsState);
    }

    /** @param baseline of the text, from above @param size in points */
    void text(String text, double x, double baseline, boolean bold, double size) {
        draw(() -> {
            out.beginText();
            out.setFont(font.of(bold), (float) size);
            out.newLineAtOffset(points(x), y(baseline));
            out.showText(text);
            out.endText();
        });
    }

    double widthMm(String text, boolean bold, double size) {
        return font.width(text, bold, size) / POINTS_A_MM;
    }

    @Override
    public void close() {
        draw(out::close);
    }
}
