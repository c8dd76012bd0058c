package org.kindgirdle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.kindgirdle.e2e.harness.RunningApplication;
import org.kindgirdle.e2e.harness.Storm;
import org.kindgirdle.e2e.harness.Walker;
import org.kindgirdle.server.harness.Client;
import org.kindgirdle.server.harness.MariaDbServer;

/** {@code ./kg faults}: a storm of records while everything is taken away that can be, and a count of what is left. */
class FaultsRun {

    private static final int DISK_MB = 400;
    private static final int PHOTOS_MB = 8;
    private static final int BETWEEN = 150;

    private final List<String> done = new ArrayList<>();
    private final List<Socket> slow = new ArrayList<>();

    @Test
    void run() throws Exception {
        long seed = Long.getLong("faults.seed", 1);
        int rounds = Integer.getInteger("faults.rounds", 6);
        Random random = new Random(seed);
        Path disk = Files.createTempDirectory("kg-disk");
        Path photos = Files.createTempDirectory("kg-pictures");
        boolean isMounted = mount(disk, DISK_MB) && mount(photos, PHOTOS_MB);
        try (RunningApplication application = RunningApplication.demoOn(
                isMounted ? MariaDbServer.startIn(Files.createDirectory(disk.resolve("db"))) : MariaDbServer.start(),
                Map.of("KG_PHOTOS", photos.toString()))) {
            List<String> codes = Walker.due(application, "QU-01", 24);
            Storm storm = new Storm(application, codes, seed);
            for (int round = 0; round < rounds; round++) {
                storm.awaitMore(BETWEEN);
                int fault = round < 5 ? round : random.nextInt(5);
                switch (fault) {
                    case 0 -> killServer(application, random);
                    case 1 -> killDatabase(application, random);
                    case 2 -> fillDisk(application, storm, disk, photos, codes.get(0), isMounted);
                    case 3 -> slowClients(application);
                    default -> moveClock(application);
                }
            }
            storm.awaitMore(BETWEEN);
            Storm.Left left = storm.end();
            System.out.println("seed " + seed + ": " + String.join(", ", done) + "; " + left.acknowledged()
                    + " records acknowledged, " + left.lost().size() + " lost, "
                    + left.doubled().size() + " doubled; " + left.sentAgain() + " sent again; answers by status "
                    + left.answers());
            assertThat(left.lost()).isEmpty();
            assertThat(left.doubled()).isEmpty();
            assertThat(left.answers()).doesNotContainKey("500");
        } finally {
            for (Socket one : slow) {
                one.close();
            }
            if (isMounted) {
                command("umount", disk.toString());
                command("umount", photos.toString());
            }
        }
    }

    private void killServer(RunningApplication application, Random random) throws InterruptedException {
        application.kill();
        TimeUnit.MILLISECONDS.sleep(random.nextInt(1500));
        application.start();
        done.add("server killed");
    }

    private void killDatabase(RunningApplication application, Random random) throws InterruptedException {
        application.database().kill();
        TimeUnit.MILLISECONDS.sleep(random.nextInt(3000));
        application.database().startAgain();
        done.add("database killed");
    }

    /** The rest of both disks is taken by something else for some seconds. */
    private void fillDisk(
            RunningApplication application, Storm storm, Path disk, Path photos, String code, boolean isMounted)
            throws Exception {
        if (!isMounted) {
            done.add("no disk could be filled (mounting one needs root)");
            return;
        }
        Path ballast = disk.resolve("ballast");
        Path more = photos.resolve("ballast");
        fill(ballast);
        fill(more);
        byte[] picture = Files.readAllBytes(Path.of("../docs/screenshots/round.png"));
        Client.Answer refused = application
                .api("ivo")
                .upload("/api/v1/layers/" + code + "/photos", UUID.randomUUID(), "image/png", picture);
        TimeUnit.SECONDS.sleep(5);
        Files.delete(ballast);
        Files.delete(more);
        if (!application.database().isRunning()) {
            application.database().startAgain();
        }
        assertThat(refused.status()).as(refused.body().toString()).isIn(503, 507);
        storm.awaitMore(1);
        application
                .api("ivo")
                .upload("/api/v1/layers/" + code + "/photos", UUID.randomUUID(), "image/png", picture)
                .expect(201);
        done.add("disk full (a picture was answered " + refused.status() + ")");
    }

    private static void fill(Path file) throws IOException {
        byte[] some = new byte[1 << 16];
        try (RandomAccessFile out = new RandomAccessFile(file.toFile(), "rw")) {
            while (true) {
                out.write(some);
            }
        } catch (IOException full) {
            assertThat(full.getMessage()).contains("No space");
        }
    }

    private void slowClients(RunningApplication application) throws IOException {
        for (int i = 0; i < 65; i++) {
            Socket socket = new Socket(
                    InetAddress.getLoopbackAddress(),
                    URI.create(application.base()).getPort());
            socket.getOutputStream()
                    .write(("POST /api/v1/session HTTP/1.1\r\nHost: here\r\nContent-Type: application/json\r\n"
                                    + "Content-Length: 900\r\n\r\n{")
                            .getBytes(StandardCharsets.US_ASCII));
            slow.add(socket);
        }
        application.api("pell");
        done.add("65 slow strangers");
    }

    private void moveClock(RunningApplication application) {
        Client maren = application.api("maren");
        LocalDate today = LocalDate.parse(
                maren.get("/api/v1/session").body().path("today").asString());
        maren.put("/api/v1/demo-clock", Map.of("today", today.plusDays(9).toString()))
                .expect(200);
        done.add("clock nine days ahead");
    }

    private static boolean mount(Path folder, int megabytes) throws Exception {
        return command("mount", "-t", "tmpfs", "-o", "size=" + megabytes + "m", "tmpfs", folder.toString());
    }

    private static boolean command(String... words) throws Exception {
        return new ProcessBuilder(words)
                        .redirectErrorStream(true)
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start()
                        .waitFor()
                == 0;
    }
}
