package org.kindgirdle.e2e.harness;

import com.google.zxing.WriterException;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.google.zxing.qrcode.encoder.Encoder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;

/** What a camera sees: a label's QR code, held before it a little off the middle. */
public final class Film {

    private static final int WIDTH = 640;
    private static final int HEIGHT = 480;
    private static final int MODULE = 8;
    private static final int LEFT = 190;
    private static final int TOP = 110;
    private static final byte TABLE = (byte) 150;
    private static final byte PAPER = (byte) 235;
    private static final byte INK = 20;

    private Film() {}

    /** Raw frames in the format that Chromium's stand-in for a camera plays again and again. */
    public static Path of(Path file, String content) {
        try {
            ByteMatrix code = Encoder.encode(content, ErrorCorrectionLevel.M).getMatrix();
            byte[] light = new byte[WIDTH * HEIGHT];
            Arrays.fill(light, TABLE);
            int quiet = 4;
            int side = (code.getWidth() + 2 * quiet) * MODULE;
            for (int y = 0; y < side; y++) {
                for (int x = 0; x < side; x++) {
                    int column = x / MODULE - quiet;
                    int row = y / MODULE - quiet;
                    boolean dark = column >= 0
                            && row >= 0
                            && column < code.getWidth()
                            && row < code.getHeight()
                            && code.get(column, row) == 1;
                    light[(TOP + y) * WIDTH + LEFT + x] = dark ? INK : PAPER;
                }
            }
            byte[] colour = new byte[WIDTH * HEIGHT / 2];
            Arrays.fill(colour, (byte) 128);
            ByteArrayOutputStream film = new ByteArrayOutputStream();
            film.writeBytes(("YUV4MPEG2 W" + WIDTH + " H" + HEIGHT + " F10:1 Ip A1:1 C420jpeg\n")
                    .getBytes(StandardCharsets.US_ASCII));
            for (int frame = 0; frame < 3; frame++) {
                film.writeBytes("FRAME\n".getBytes(StandardCharsets.US_ASCII));
                film.writeBytes(light);
                film.writeBytes(colour);
            }
            return Files.write(file, film.toByteArray());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (WriterException e) {
            throw new IllegalArgumentException(content, e);
        }
    }
}
