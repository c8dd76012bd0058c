package org.kindgirdle.server.photos;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Semaphore;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import org.kindgirdle.server.problem.ProblemException;

/**
 * A picture made anew from what was sent: upright, no larger than a screen needs, and with nothing in it but the
 * picture. Where and with what it was taken is left behind.
 *
 * @param jpeg the picture
 * @param thumb the same, small
 */
record Picture(byte[] jpeg, byte[] thumb, int width, int height) {

    /** Longest side of what is kept, and of what stands in a list, in pixels. */
    private static final int LARGE = 1920;

    private static final int SMALL = 320;

    /** A file of a few hundred bytes can claim to be larger than all memory. */
    private static final long MOST_PIXELS = 50_000_000;

    private static final float QUALITY = .85f;

    private static final Set<String> KNOWN = Set.of("jpeg", "png");

    /** Decoding takes memory: two at once are as many as a small machine can do. */
    private static final Semaphore AT_ONCE = new Semaphore(2);

    static Picture of(byte[] sent) {
        AT_ONCE.acquireUninterruptibly();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw noPicture();
            }
            ImageReader reader = readers.next();
            try {
                if (!KNOWN.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
                    throw noPicture();
                }
                reader.setInput(in, true, true);
                return of(turned(read(reader), orientation(sent)));
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException broken) {
            if (broken instanceof ProblemException refusal) {
                throw refusal;
            }
            // readers fail in many ways on what is cut off or made up
            throw noPicture();
        } finally {
            AT_ONCE.release();
        }
    }

    /**
     * A picture as it was kept before, with its small one made anew.
     *
     * @throws ProblemException if it is no picture
     */
    static Picture keptBefore(byte[] jpeg) {
        Picture again = of(jpeg);
        return new Picture(jpeg, again.thumb, again.width, again.height);
    }

    private static ProblemException noPicture() {
        return ProblemException.invalid(
                "photo", "a file", "a JPEG or PNG picture", "This is no picture that can be read. Send it as JPEG.");
    }

    private static BufferedImage read(ImageReader reader) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if ((long) width * height > MOST_PIXELS) {
            throw ProblemException.invalid(
                    "photo",
                    width + " by " + height + " pixels",
                    "at most " + MOST_PIXELS / 1_000_000 + " million pixels",
                    "The picture is too large. Take it at a lower resolution.");
        }
        ImageReadParam how = reader.getDefaultReadParam();
        int every = Math.max(1, Math.max(width, height) / (2 * LARGE));
        how.setSourceSubsampling(every, every, 0, 0);
        return reader.read(0, how);
    }

    private static Picture of(BufferedImage whole) {
        BufferedImage large = scaled(whole, LARGE);
        return new Picture(jpeg(large), jpeg(scaled(large, SMALL)), large.getWidth(), large.getHeight());
    }

    /** A drawing of the picture on white: no transparency, and none of what came with it. */
    private static BufferedImage scaled(BufferedImage from, int longest) {
        double scale = Math.min(1, (double) longest / Math.max(from.getWidth(), from.getHeight()));
        int width = Math.max(1, (int) Math.round(from.getWidth() * scale));
        int height = Math.max(1, (int) Math.round(from.getHeight() * scale));
        BufferedImage to = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D draw = to.createGraphics();
        draw.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        draw.drawImage(from, 0, 0, width, height, Color.WHITE, null);
        draw.dispose();
        return to;
    }

    /** Cameras note how they were held, and leave the turning to whoever shows the picture (Exif 2.32, 4.6.4 A). */
    private static BufferedImage turned(BufferedImage as, int orientation) {
        if (orientation < 2 || orientation > 8) {
            return as;
        }
        int width = as.getWidth();
        int height = as.getHeight();
        boolean isOnItsSide = orientation >= 5;
        AffineTransform turn = switch (orientation) {
            case 2 -> new AffineTransform(-1, 0, 0, 1, width, 0);
            case 3 -> new AffineTransform(-1, 0, 0, -1, width, height);
            case 4 -> new AffineTransform(1, 0, 0, -1, 0, height);
            case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
            case 6 -> new AffineTransform(0, 1, -1, 0, height, 0);
            case 7 -> new AffineTransform(0, -1, -1, 0, height, width);
            default -> new AffineTransform(0, -1, 1, 0, 0, width);
        };
        BufferedImage upright = new BufferedImage(
                isOnItsSide ? height : width, isOnItsSide ? width : height, BufferedImage.TYPE_INT_RGB);
        Graphics2D draw = upright.createGraphics();
        draw.setColor(Color.WHITE);
        draw.fillRect(0, 0, upright.getWidth(), upright.getHeight());
        draw.drawImage(as, turn, null);
        draw.dispose();
        return upright;
    }

    private static int orientation(byte[] sent) {
        try {
            Metadata known = ImageMetadataReader.readMetadata(new ByteArrayInputStream(sent));
            ExifIFD0Directory exif = known.getFirstDirectoryOfType(ExifIFD0Directory.class);
            return exif != null && exif.containsTag(ExifIFD0Directory.TAG_ORIENTATION)
                    ? exif.getInt(ExifIFD0Directory.TAG_ORIENTATION)
                    : 1;
        } catch (ImageProcessingException | MetadataException | IOException unreadable) {
            // the picture is there; how it was held is not
            return 1;
        }
    }

    private static byte[] jpeg(BufferedImage image) {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (MemoryCacheImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            writer.setOutput(stream);
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(QUALITY);
            writer.write(null, new IIOImage(image, null, null), how);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }
}
