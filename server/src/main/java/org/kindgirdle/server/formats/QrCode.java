package org.kindgirdle.server.formats;

import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.google.zxing.qrcode.encoder.Encoder;
import java.util.Map;

/** A QR code (ISO/IEC 18004) of medium error correction: a label gets wet and dirty. */
final class QrCode {

    /** Modules of white that its standard asks for on every side. */
    static final int QUIET = 4;

    private QrCode() {}

    /** Draws it, quiet zone and all, into a square. */
    static void draw(Sheet sheet, String content, double x, double y, double sideMm) {
        ByteMatrix modules = encode(content);
        double module = sideMm / (modules.getWidth() + 2 * QUIET);
        for (int row = 0; row < modules.getHeight(); row++) {
            for (int column = 0; column < modules.getWidth(); column++) {
                int run = 0;
                while (column + run < modules.getWidth() && modules.get(column + run, row) == 1) {
                    run++;
                }
                if (run > 0) {
                    // one rectangle a run: hairlines between modules would show on paper
                    sheet.fill(x + (QUIET + column) * module, y + (QUIET + row) * module, run * module, module, 0);
                    column += run;
                }
            }
        }
    }

    private static ByteMatrix encode(String content) {
        try {
            return Encoder.encode(content, ErrorCorrectionLevel.M, Map.of(EncodeHintType.CHARACTER_SET, "UTF-8"))
                    .getMatrix();
        } catch (WriterException e) {
            throw new IllegalArgumentException("too long for a QR code: " + content, e);
        }
    }
}
