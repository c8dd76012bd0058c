package org.kindgirdle.server.photos;

import com.drew.imaging.jpeg.JpegMetadataReader;
import com.drew.imaging.jpeg.JpegProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifReader;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;

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
    private static final long MAX_PIXELS = 50_000_000;

    /** What is decoded of a larger one: enough for a sharp picture of the largest size that is kept. */
    private static final long WANTED_PIXELS = 8_000_000;

    /** For decoding one picture: two of them and all else fit into the memory that the application is given. */
    private static final long MAX_BYTES = 120_000_000;

    private static final float QUALITY = .85f;

    /** @param sent a file with what was sent: pictures that wait for their turn are not held in memory */
    static Picture of(Path sent) {
        try (DataInputStream start = new DataInputStream(new BufferedInputStream(Files.newInputStream(sent)))) {
            PictureHeader header = PictureHeader.read(start);
            if (header == null) {
                throw noPicture();
            }
            int every = checked(header);
            try (ImageInputStream in = ImageIO.createImageInputStream(plain(sent, header))) {
                ImageReader reader = ImageIO.getImageReadersByFormatName(
                                header.kind().name())
                        .next();
                try {
                    reader.setInput(in, true, true);
                    ImageReadParam how = reader.getDefaultReadParam();
                    how.setSourceSubsampling(every, every, 0, 0);
                    BufferedImage large = scaled(reader.read(0, how), LARGE);
                    return of(
                            header.kind() == PictureHeader.PictureKind.JPEG ? turned(large, orientation(sent)) : large);
                } finally {
                    reader.dispose();
                }
            }
        } catch (IOException | RuntimeException broken) {
            if (broken instanceof ProblemException refusal) {
                throw refusal;
            }
            // readers fail in many ways on what is cut off or made up
            throw noPicture();
        }
    }

    /**
     * A picture as it was kept before, with its small one made anew.
     *
     * @throws ProblemException if it is no picture
     */
    static Picture keptBefore(byte[] jpeg) {
        try {
            Path file = Files.createTempFile("kg-picture", ".jpg");
            try {
                Files.write(file, jpeg);
                Picture again = of(file);
                return new Picture(jpeg, again.thumb, again.width, again.height);
            } finally {
                Files.delete(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @return how many lines are skipped for each that is decoded */
    private static int checked(PictureHeader header) {
        if ((long) header.width() * header.height() > MAX_PIXELS) {
            throw ProblemException.invalid(
                    "photo",
                    header.width() + " by " + header.height() + " pixels",
                    Refusals.say("photo.pixels.allowed", "millions", MAX_PIXELS / 1_000_000),
                    Refusals.say("photo.pixels"));
        }
        int every = header.every(WANTED_PIXELS);
        if (header.bytes(every) > MAX_BYTES) {
            throw ProblemException.invalid(
                    "photo",
                    header.bytes(every) / 1_000_000 + " MB to decode",
                    Refusals.say("photo.memory.allowed", "megabytes", MAX_BYTES / 1_000_000),
                    Refusals.say("photo.memory"));
        }
        return every;
    }

    /** A PNG without all that stands beside the picture: texts and profiles in it are packed, and could be endless. */
    private static InputStream plain(Path sent, PictureHeader header) throws IOException {
        InputStream in = new BufferedInputStream(Files.newInputStream(sent));
        return header.kind() == PictureHeader.PictureKind.PNG ? new PlainPng(new DataInputStream(in)) : in;
    }

    private static ProblemException noPicture() {
        return ProblemException.invalid(
                "photo", "a file", Refusals.say("photo.unreadable.allowed"), Refusals.say("photo.unreadable"));
    }

    private static Picture of(BufferedImage large) {
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

    /** From the one segment that says it; whatever else stands in the file is not read. */
    private static int orientation(Path sent) {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(sent))) {
            Metadata known = JpegMetadataReader.readMetadata(in, List.of(new ExifReader()));
            ExifIFD0Directory exif = known.getFirstDirectoryOfType(ExifIFD0Directory.class);
            return exif != null && exif.containsTag(ExifIFD0Directory.TAG_ORIENTATION)
                    ? exif.getInt(ExifIFD0Directory.TAG_ORIENTATION)
                    : 1;
        } catch (JpegProcessingException | MetadataException | IOException unreadable) {
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
