package org.kindgirdle.server.photos;

import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import org.jspecify.annotations.Nullable;

/**
 * What a picture says of its size, read from its first bytes with nothing decoded and nothing inflated.
 *
 * @param width in pixels
 * @param height in pixels
 * @param bytesPerPixel once decoded
 * @param isHeldWhole whether decoding holds all of it at once, however little of it is wanted: a progressive JPEG
 */
record PictureHeader(PictureKind kind, int width, int height, int bytesPerPixel, boolean isHeldWhole) {

    /** By what is in it, not by what it is called. */
    enum PictureKind {
        JPEG,
        PNG
    }

    private static final long PNG_SIGNATURE = 0x89504E470D0A1A0AL;
    private static final int PNG_HEADER = 0x49484452;
    private static final int JPEG_START = 0xFFD8;

    /** A coefficient of a progressive JPEG is held in two bytes (ITU T.81, Annex G). */
    private static final int COEFFICIENT_BYTES = 2;

    private static final int MAX_SEGMENTS = 2000;

    /** Null if it is neither JPEG nor PNG, or broken before its size is said. */
    static @Nullable PictureHeader read(DataInputStream in) throws IOException {
        try {
            int first = in.readUnsignedShort();
            if (first == JPEG_START) {
                return jpeg(in);
            }
            long signature = (long) first << 48 | (long) in.readUnsignedShort() << 32 | in.readInt() & 0xFFFFFFFFL;
            return signature == PNG_SIGNATURE ? png(in) : null;
        } catch (EOFException cutOff) {
            return null;
        }
    }

    private static @Nullable PictureHeader png(DataInputStream in) throws IOException {
        in.readInt();
        if (in.readInt() != PNG_HEADER) {
            return null;
        }
        int width = in.readInt();
        int height = in.readInt();
        int bits = in.readUnsignedByte();
        int samples = switch (in.readUnsignedByte()) {
            case 0, 3 -> 1;
            case 2 -> 3;
            case 4 -> 2;
            default -> 4;
        };
        return of(PictureKind.PNG, width, height, Math.max(1, samples * bits / 8), false);
    }

    private static @Nullable PictureHeader jpeg(DataInputStream in) throws IOException {
        for (int segment = 0; segment < MAX_SEGMENTS; segment++) {
            int sign = in.readUnsignedByte();
            if (sign != 0xFF) {
                return null;
            }
            int marker = in.readUnsignedByte();
            while (marker == 0xFF) {
                marker = in.readUnsignedByte();
            }
            int length = in.readUnsignedShort();
            boolean isFrame = marker >= 0xC0 && marker <= 0xCF && marker != 0xC4 && marker != 0xC8 && marker != 0xCC;
            if (isFrame) {
                in.readUnsignedByte();
                int height = in.readUnsignedShort();
                int width = in.readUnsignedShort();
                boolean isProgressive = (marker & 0x3) == 2;
                int components = in.readUnsignedByte();
                return of(
                        PictureKind.JPEG,
                        width,
                        height,
                        isProgressive ? components * COEFFICIENT_BYTES : components,
                        isProgressive);
            }
            if (marker == 0xDA || length < 2) {
                return null;
            }
            in.skipNBytes(length - 2L);
        }
        return null;
    }

    private static @Nullable PictureHeader of(
            PictureKind kind, int width, int height, int bytesPerPixel, boolean whole) {
        return width < 1 || height < 1 ? null : new PictureHeader(kind, width, height, bytesPerPixel, whole);
    }

    /** Every so manieth pixel and line is enough for a picture of so many pixels. */
    int every(long pixels) {
        int every = 1;
        while ((long) (width / every) * (height / every) > pixels) {
            every++;
        }
        return every;
    }

    /** What decoding takes at the most, with two lines held beside the picture. */
    long bytes(int every) {
        long lines = 2L * width * bytesPerPixel;
        long wanted = (long) (width / every + 1) * (height / every + 1) * Math.max(bytesPerPixel, 4);
        return lines + wanted + (isHeldWhole ? (long) width * height * bytesPerPixel : 0);
    }
}
