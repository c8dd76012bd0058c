package org.kindgirdle.server.photos;

import static org.assertj.core.api.Assertions.assertThat;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.GpsDirectory;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.UUID;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.NurseryExtension;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.JsonNode;

@ExtendWith(NurseryExtension.class)
class PhotoTest {

    private final TestNursery nursery;
    private final String code;
    private final String path;

    PhotoTest(TestNursery nursery) {
        this.nursery = nursery;
        this.code = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(30), 1)
                .get(0);
        this.path = "/api/v1/layers/" + code + "/photos";
    }

    @Test
    void a_picture_loses_where_it_was_taken_and_is_turned_upright() throws Exception {
        byte[] sent = withExif(jpeg(400, 300));
        Metadata before = ImageMetadataReader.readMetadata(new ByteArrayInputStream(sent));
        assertThat(before.getFirstDirectoryOfType(GpsDirectory.class))
                .as("the test's own picture says where it was taken")
                .isNotNull();

        JsonNode photo =
                upload(UUID.randomUUID(), "image/jpeg", sent).expect(201).body();
        assertThat(photo.path("width").asInt()).isEqualTo(300);
        assertThat(photo.path("height").asInt()).isEqualTo(400);
        Client.Answer kept = nursery.viewer()
                .get("/api/v1/photos/" + photo.path("hash").asString())
                .expect(200);
        Metadata after = ImageMetadataReader.readMetadata(new ByteArrayInputStream(kept.bytes()));
        assertThat(after.getFirstDirectoryOfType(GpsDirectory.class)).isNull();
        assertThat(new String(kept.bytes(), StandardCharsets.ISO_8859_1)).doesNotContain("Exif");
        BufferedImage upright = ImageIO.read(new ByteArrayInputStream(kept.bytes()));
        // the red half was on the left; turned by a quarter to the right it is above
        assertThat(new Color(upright.getRGB(150, 40)).getRed()).isGreaterThan(200);
        assertThat(new Color(upright.getRGB(150, 360)).getRed()).isLessThan(60);
    }

    @Test
    void a_large_one_is_made_smaller_and_the_same_sent_twice_is_one() throws IOException {
        UUID id = UUID.randomUUID();
        byte[] sent = jpeg(4000, 3000);
        JsonNode photo = upload(id, "image/jpeg", sent).expect(201).body();
        assertThat(photo.path("width").asInt()).isEqualTo(1920);
        assertThat(upload(id, "image/jpeg", sent).expect(201).body()).isEqualTo(photo);
        assertThat(nursery.viewer().get(path).expect(200).body()).hasSize(1);
        BufferedImage small = ImageIO.read(new ByteArrayInputStream(nursery.viewer()
                .get("/api/v1/photos/" + photo.path("hash").asString() + "?small=true")
                .expect(200)
                .bytes()));
        assertThat(small.getWidth()).isEqualTo(320);
        assertThat(upload(id, "image/jpeg", jpeg(40, 30)).expect(409).body().toString())
                .contains(Refusals.say("command.uuid", "id", id));

        // nothing goes without a trace, and nobody throws another's picture away but an owner
        JsonNode others = nursery.owner()
                .upload(path, UUID.randomUUID(), "image/jpeg", jpeg(90, 60))
                .expect(201)
                .body();
        nursery.grower().delete(path + "/" + others.path("id").asString()).expect(403);
        nursery.owner().delete(path + "/" + id).expect(204);
        JsonNode gone = nursery.viewer()
                .get(path)
                .body()
                .valueStream()
                .filter(one -> one.path("id").asString().equals(id.toString()))
                .findFirst()
                .orElseThrow();
        assertThat(gone.path("withdrawnBy").asString()).isEqualTo("Odile Quern");
        assertThat(gone.path("withdrawnAt").isNull()).isFalse();
        nursery.grower().delete(path + "/" + UUID.randomUUID()).expect(404);
    }

    @Test
    void what_is_no_picture_too_large_or_a_bomb_is_refused_in_words() throws IOException {
        assertThat(refused("image/jpeg", "<html><script>alert(1)</script>".getBytes(StandardCharsets.UTF_8)))
                .contains(Refusals.say("photo.unreadable"));
        byte[] gif = withFormat(new BufferedImage(9, 9, BufferedImage.TYPE_INT_RGB), "gif");
        assertThat(refused("image/png", gif)).contains(Refusals.say("photo.unreadable.allowed"));
        byte[] half = jpeg(800, 600);
        assertThat(refused("image/jpeg", Arrays.copyOf(half, 300))).contains(Refusals.say("photo.unreadable"));
        assertThat(refused("image/png", bomb(60_000, 60_000)))
                .contains("60000 by 60000 pixels")
                .contains("at most 50 million pixels");
        assertThat(upload(UUID.randomUUID(), "image/jpeg", new byte[50_000_000])
                        .expect(413)
                        .body()
                        .toString())
                .contains("up to 16000000 bytes")
                .contains("lower resolution");
        assertThat(refused("application/pdf", "%PDF-1.7".getBytes(StandardCharsets.UTF_8)))
                .contains(Refusals.say("photo.unreadable.allowed"));
        assertThat(nursery.viewer().get(path).body()).isEmpty();
    }

    @Test
    void what_is_packed_beside_the_picture_is_never_unpacked() throws IOException {
        byte[] plain = png(300, 200);
        // a text of 200 MB in a few hundred kilobytes, before the picture itself
        byte[] packed = withChunk(plain, "zTXt", zipped("Comment\0\0", 200_000_000));
        assertThat(packed.length).isLessThan(400_000);
        for (byte[] sent : new byte[][] {packed, withChunk(plain, "iCCP", zipped("profile\0\0", 200_000_000))}) {
            long before = allocated();
            JsonNode photo =
                    upload(UUID.randomUUID(), "image/png", sent).expect(201).body();
            assertThat(photo.path("width").asInt()).isEqualTo(300);
            assertThat(allocated() - before).as("bytes made while it was read").isLessThan(60_000_000);
        }
    }

    @Test
    void a_large_picture_is_read_in_part_whatever_way_it_is_packed() throws IOException {
        byte[] wide = png(7000, 7000);
        assertThat(wide.length).isLessThan(1_000_000);
        long before = allocated();
        JsonNode photo =
                upload(UUID.randomUUID(), "image/png", wide).expect(201).body();
        assertThat(photo.path("width").asInt()).isEqualTo(1920);
        assertThat(allocated() - before).as("bytes made while it was read").isLessThan(250_000_000);
        byte[] held = withExif(jpeg(6500, 4900));
        before = allocated();
        assertThat(upload(UUID.randomUUID(), "image/jpeg", held)
                        .expect(201)
                        .body()
                        .path("height")
                        .asInt())
                .isEqualTo(1920);
        assertThat(allocated() - before).isLessThan(250_000_000);
    }

    /** By all threads of this process so far. */
    private static long allocated() {
        var threads = (com.sun.management.ThreadMXBean) ManagementFactory.getThreadMXBean();
        return Arrays.stream(threads.getThreadAllocatedBytes(threads.getAllThreadIds()))
                .sum();
    }

    private static byte[] zipped(String head, int zeros) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(head.getBytes(StandardCharsets.ISO_8859_1));
        try (DeflaterOutputStream zip = new DeflaterOutputStream(out)) {
            byte[] some = new byte[1 << 16];
            for (int left = zeros; left > 0; left -= some.length) {
                zip.write(some);
            }
        }
        return out.toByteArray();
    }

    /** A chunk right behind the header. */
    private static byte[] withChunk(byte[] png, String name, byte[] bytes) {
        ByteBuffer whole = ByteBuffer.allocate(png.length + bytes.length + 12);
        whole.put(png, 0, 33);
        chunk(whole, name, bytes);
        whole.put(png, 33, png.length - 33);
        return whole.array();
    }

    @Test
    void only_who_is_signed_in_sees_pictures_and_only_growers_add_them() throws IOException {
        JsonNode photo =
                upload(UUID.randomUUID(), "image/png", png(60, 40)).expect(201).body();
        String file = "/api/v1/photos/" + photo.path("hash").asString();
        nursery.anonymous().get(file).expect(401);
        nursery.viewer()
                .upload(path, UUID.randomUUID(), "image/png", png(60, 40))
                .expect(403);
        nursery.viewer().get("/api/v1/photos/" + "0".repeat(64)).expect(404);
        nursery.viewer().get("/api/v1/photos/..%2f..%2fetc").expect(400);
    }

    private Client.Answer upload(UUID id, String type, byte[] bytes) {
        return nursery.grower().upload(path, id, type, bytes);
    }

    private String refused(String type, byte[] bytes) {
        return upload(UUID.randomUUID(), type, bytes).expect(400).body().toString();
    }

    /** Left half red, right half blue. */
    private static BufferedImage halves(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D draw = image.createGraphics();
        draw.setColor(Color.RED);
        draw.fillRect(0, 0, width / 2, height);
        draw.setColor(Color.BLUE);
        draw.fillRect(width / 2, 0, width - width / 2, height);
        draw.dispose();
        return image;
    }

    private static byte[] jpeg(int width, int height) throws IOException {
        return withFormat(halves(width, height), "jpeg");
    }

    private static byte[] png(int width, int height) throws IOException {
        return withFormat(halves(width, height), "png");
    }

    private static byte[] withFormat(BufferedImage image, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    /** The same with an Exif segment: held on its side (6), and taken at 52 degrees north. */
    private static byte[] withExif(byte[] jpeg) {
        ByteBuffer tiff = ByteBuffer.allocate(120);
        tiff.put(new byte[] {'M', 'M', 0, 42}).putInt(8);
        tiff.putShort((short) 2);
        entry(tiff, 0x0112, 3, 1, 6 << 16);
        entry(tiff, 0x8825, 4, 1, 38);
        tiff.putInt(0);
        tiff.putShort((short) 2);
        entry(tiff, 1, 2, 2, 'N' << 24);
        entry(tiff, 2, 5, 3, 68);
        tiff.putInt(0);
        for (int part : new int[] {52, 14, 9}) {
            tiff.putInt(part).putInt(1);
        }
        int length = tiff.position();
        ByteBuffer whole = ByteBuffer.allocate(jpeg.length + length + 10);
        whole.put(jpeg, 0, 2);
        whole.put((byte) 0xff).put((byte) 0xe1).putShort((short) (length + 8));
        whole.put("Exif\0\0".getBytes(StandardCharsets.ISO_8859_1)).put(tiff.array(), 0, length);
        whole.put(jpeg, 2, jpeg.length - 2);
        return whole.array();
    }

    private static void entry(ByteBuffer tiff, int tag, int type, int count, int value) {
        tiff.putShort((short) tag).putShort((short) type).putInt(count).putInt(value);
    }

    /** A file of a few bytes that says it is a huge picture. */
    private static byte[] bomb(int width, int height) {
        ByteBuffer png = ByteBuffer.allocate(200);
        png.put(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'});
        ByteBuffer header = ByteBuffer.allocate(13).putInt(width).putInt(height).put(new byte[] {8, 2, 0, 0, 0});
        chunk(png, "IHDR", header.array());
        chunk(png, "IDAT", new byte[] {0x78, (byte) 0x9c, 3, 0, 0, 0, 0, 1});
        chunk(png, "IEND", new byte[0]);
        return Arrays.copyOf(png.array(), png.position());
    }

    private static void chunk(ByteBuffer png, String name, byte[] bytes) {
        byte[] type = name.getBytes(StandardCharsets.ISO_8859_1);
        CRC32 crc = new CRC32();
        crc.update(type);
        crc.update(bytes);
        png.putInt(bytes.length).put(type).put(bytes).putInt((int) crc.getValue());
    }
}
