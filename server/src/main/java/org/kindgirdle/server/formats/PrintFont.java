package org.kindgirdle.server.formats;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.Character.UnicodeScript;
import java.text.Normalizer;
import java.util.EnumSet;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;

/**
 * The letters that are printed with, shipped with the application. It has more glyphs than it may be used for: scripts
 * that join or turn their letters would print wrong without shaping, so only Latin, Greek and Cyrillic are taken.
 */
final class PrintFont {

    private static final Set<UnicodeScript> SCRIPTS = EnumSet.of(
            UnicodeScript.LATIN,
            UnicodeScript.GREEK,
            UnicodeScript.CYRILLIC,
            UnicodeScript.COMMON,
            UnicodeScript.INHERITED);

    private final PDFont plain;
    private final PDFont bold;

    private PrintFont(PDFont plain, PDFont bold) {
        this.plain = plain;
        this.bold = bold;
    }

    /** Its letters as far as the document uses them. */
    static PrintFont in(PDDocument document) {
        return new PrintFont(load(document, "DejaVuSansCondensed.ttf"), load(document, "DejaVuSansCondensed-Bold.ttf"));
    }

    private static PDFont load(PDDocument document, String file) {
        try (InputStream in = Objects.requireNonNull(PrintFont.class.getResourceAsStream("/fonts/" + file), file)) {
            return PDType0Font.load(document, in, true);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    PDFont of(boolean isBold) {
        return isBold ? bold : plain;
    }

    /** How wide a line is, in points. */
    double width(String text, boolean isBold, double size) {
        try {
            return of(isBold).getStringWidth(text) / 1000 * size;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The text as it is printed: composed, and without line breaks.
     *
     * @param field that a refusal names
     * @throws ProblemException 400 if it holds a sign that would print wrong or not at all
     */
    String printable(String field, String text) {
        String composed = Normalizer.normalize(text, Normalizer.Form.NFC)
                .replaceAll("\\s+", " ")
                .strip();
        Set<String> refused = new TreeSet<>();
        composed.codePoints()
                .filter(sign -> !SCRIPTS.contains(UnicodeScript.of(sign)) || !hasGlyph(sign))
                .forEach(sign -> refused.add(Character.toString(sign)));
        if (!refused.isEmpty()) {
            throw ProblemException.invalid(
                    field,
                    text,
                    Refusals.say("label.script.allowed"),
                    Refusals.say("label.script", "refused", String.join("', '", refused)));
        }
        return composed;
    }

    private boolean hasGlyph(int sign) {
        try {
            // an unknown sign is refused by the encoder, in the one weight as in the other
            plain.encode(Character.toString(sign));
            bold.encode(Character.toString(sign));
            return true;
        } catch (IllegalArgumentException | IOException none) {
            return false;
        }
    }
}
