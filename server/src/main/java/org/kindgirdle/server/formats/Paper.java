package org.kindgirdle.server.formats;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.function.BiFunction;
import org.apache.pdfbox.pdmodel.PDDocument;

/** The sheets that people print on: Letter where they read in inches, else A4. */
enum Paper {
    A4(210, 297),
    LETTER(215.9, 279.4);

    private final double widthMm;
    private final double heightMm;

    Paper(double widthMm, double heightMm) {
        this.widthMm = widthMm;
        this.heightMm = heightMm;
    }

    static Paper of(boolean inches) {
        return inches ? LETTER : A4;
    }

    double widthMm() {
        return widthMm;
    }

    double heightMm() {
        return heightMm;
    }

    /**
     * A document as a PDF.
     *
     * @param draws on it, page by page, and leaves its last page open
     */
    static byte[] pdf(BiFunction<PDDocument, PrintFont, Sheet> draws) {
        try (PDDocument document = new PDDocument()) {
            draws.apply(document, PrintFont.in(document)).close();
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
