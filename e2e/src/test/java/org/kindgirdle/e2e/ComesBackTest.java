package org.kindgirdle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Visit;
import org.kindgirdle.server.harness.Client;

/** The application as it runs, with as little memory as it is given: nothing that is sent ends it or holds it up. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ComesBackTest {

    private RunningApplication application;

    @BeforeAll
    void start() {
        application = RunningApplication.demo();
    }

    @AfterAll
    void stop() {
        application.close();
    }

    @Test
    void pictures_that_would_fill_the_memory_end_nobodys_work() throws Exception {
        Client ivo = application.api("ivo");
        String path = "/api/v1/layers/WJY-PD/photos";
        byte[] packed = png(300, 200, 200_000_000);
        assertThat(packed.length).isLessThan(400_000);
        ivo.upload(path, UUID.randomUUID(), "image/png", packed).expect(201);
        ivo.upload(path, UUID.randomUUID(), "image/png", png(7000, 7000, 0)).expect(201);

        // two of 32 million pixels, held on their side, and more behind them, all at once
        byte[] large = onItsSide(jpeg(6500, 4950));
        ExecutorService phones = Executors.newFixedThreadPool(6);
        List<Future<Client.Answer>> answers = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            answers.add(
                    phones.submit(() -> application.api("ivo").upload(path, UUID.randomUUID(), "image/jpeg", large)));
        }
        int kept = 0;
        for (Future<Client.Answer> answer : answers) {
            assertThat(answer.get().status()).isIn(201, 503);
            kept += answer.get().status() == 201 ? 1 : 0;
        }
        phones.shutdown();
        assertThat(kept).isPositive();
        ivo.get("/api/v1/round").expect(200);
        assertThat(application.isRunning()).isTrue();
    }

    @Test
    void sixty_five_slow_strangers_hold_up_nobody() throws IOException {
        Client ivo = application.api("ivo");
        List<Socket> strangers = new ArrayList<>();
        try {
            for (int i = 0; i < 65; i++) {
                strangers.add(slow(i % 2 == 0 ? "/api/v1/session" : "/api/v1/layer-records"));
            }
            for (int round = 0; round < 5; round++) {
                for (Socket stranger : strangers) {
                    drip(stranger);
                }
                ivo.get("/api/v1/round").expect(200);
                ivo.post("/api/v1/layers/WJY-PD/records", Map.of("kind", "NOTED", "details", Map.of(), "note", "busy"))
                        .expect(201);
                new Client(application.base()).get("/api/v1/session").expect(200);
                new Client(application.base()).get("/").expect(200);
            }
        } finally {
            for (Socket stranger : strangers) {
                stranger.close();
            }
        }
        application.api("pell").get("/api/v1/round").expect(200);
    }

    @Test
    void with_the_database_away_a_page_shows_at_once_what_its_device_knows(@TempDir Path folder) {
        try (Visit phone = Visit.keepingPhone(application, folder).signedInAs("ivo")) {
            PlaywrightAssertions.assertThat(phone.see("begin")).isVisible();
            phone.page().evaluate("() => navigator.serviceWorker.ready.then(() => true)");
            application.database().kill();
            phone.open("/");
            PlaywrightAssertions.assertThat(phone.see("as-of")).containsText("the walk as it was at");
            PlaywrightAssertions.assertThat(phone.see("begin")).isVisible();
            // it is refused at once, and not after a wait for a connection
            assertThat(new Client(application.base()).get("/api/v1/session").status())
                    .isEqualTo(503);
            application.database().startAgain();
            phone.open("/");
            PlaywrightAssertions.assertThat(phone.see("as-of")).hasCount(0);
        } finally {
            if (!application.database().isRunning()) {
                application.database().startAgain();
            }
        }
    }

    private Socket slow(String path) throws IOException {
        URI base = URI.create(application.base());
        Socket socket = new Socket(InetAddress.getLoopbackAddress(), base.getPort());
        socket.getOutputStream()
                .write(("POST " + path + " HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\n"
                                + "Content-Length: 5000\r\n\r\n{")
                        .getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    private static void drip(Socket stranger) {
        try {
            OutputStream out = stranger.getOutputStream();
            out.write(' ');
            out.flush();
        } catch (IOException ended) {
            // that is what it is for
        }
    }

    private static byte[] jpeg(int width, int height) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "jpeg", out);
        return out.toByteArray();
    }

    /** With an Exif segment that says so. */
    private static byte[] onItsSide(byte[] jpeg) {
        ByteBuffer tiff = ByteBuffer.allocate(26);
        tiff.put(new byte[] {'M', 'M', 0, 42}).putInt(8).putShort((short) 1);
        tiff.putShort((short) 0x0112)
                .putShort((short) 3)
                .putInt(1)
                .putInt(6 << 16)
                .putInt(0);
        ByteBuffer whole = ByteBuffer.allocate(jpeg.length + 36);
        whole.put(jpeg, 0, 2).put((byte) 0xff).put((byte) 0xe1).putShort((short) 34);
        whole.put("Exif\0\0".getBytes(StandardCharsets.ISO_8859_1)).put(tiff.array());
        whole.put(jpeg, 2, jpeg.length - 2);
        return whole.array();
    }

    /** All of one colour, with a packed text of so many bytes before it. */
    private static byte[] png(int width, int height, int text) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'});
        chunk(
                out,
                "IHDR",
                ByteBuffer.allocate(13)
                        .putInt(width)
                        .putInt(height)
                        .put(new byte[] {8, 2, 0, 0, 0})
                        .array());
        if (text > 0) {
            ByteArrayOutputStream packed = new ByteArrayOutputStream();
            packed.write("Comment\0\0".getBytes(StandardCharsets.ISO_8859_1));
            zeros(packed, text);
            chunk(out, "zTXt", packed.toByteArray());
        }
        ByteArrayOutputStream picture = new ByteArrayOutputStream();
        zeros(picture, (3L * width + 1) * height);
        chunk(out, "IDAT", picture.toByteArray());
        chunk(out, "IEND", new byte[0]);
        return out.toByteArray();
    }

    private static void zeros(OutputStream out, long count) throws IOException {
        DeflaterOutputStream zip = new DeflaterOutputStream(out);
        byte[] some = new byte[1 << 16];
        for (long left = count; left > 0; left -= some.length) {
            zip.write(some, 0, (int) Math.min(left, some.length));
        }
        zip.finish();
    }

    private static void chunk(ByteArrayOutputStream png, String name, byte[] bytes) throws IOException {
        byte[] type = name.getBytes(StandardCharsets.ISO_8859_1);
        CRC32 check = new CRC32();
        check.update(type);
        check.update(bytes);
        png.write(ByteBuffer.allocate(4).putInt(bytes.length).array());
        png.write(type);
        png.write(bytes);
        png.write(ByteBuffer.allocate(4).putInt((int) check.getValue()).array());
    }
}
