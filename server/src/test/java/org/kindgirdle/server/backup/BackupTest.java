package org.kindgirdle.server.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.kindgirdle.server.harness.TestNursery.TODAY;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.commons.compress.archivers.tar.TarArchiveEntry;
import org.apache.commons.compress.archivers.tar.TarArchiveOutputStream;
import org.apache.commons.compress.compressors.gzip.GzipCompressorOutputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.kindgirdle.server.harness.MariaDbServer;
import org.kindgirdle.server.harness.TestNursery;
import org.kindgirdle.server.sentences.Refusals;

/** A backup is whole, or says that it is not; and nothing in one is ever run. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BackupTest {

    private static final Instant NOW = Instant.parse("2026-07-10T10:00:00Z");

    @TempDir
    Path folder;

    private TestNursery nursery;
    private MariaDbServer other;
    private String picture = "";

    @BeforeAll
    void fill() throws IOException {
        nursery = TestNursery.ofItsOwn();
        other = MariaDbServer.start();
        String code = nursery.set(nursery.mother("CYDOBL", nursery.field()), TODAY.minusDays(40), 3)
                .get(0);
        nursery.record(code, TestNursery.look("CALLUS", 5)).expect(201);
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "png", png);
        picture = nursery.grower()
                .upload("/api/v1/layers/" + code + "/photos", UUID.randomUUID(), "image/png", png.toByteArray())
                .expect(201)
                .body()
                .path("hash")
                .asString();
    }

    @AfterAll
    void end() {
        nursery.close();
        other.close();
    }

    @Test
    void pictures_are_in_it_wherever_they_lie_and_all_of_it_comes_back() throws IOException {
        Path file = folder.resolve("whole.tar.gz");
        assertThat(run("backup", file, nursery.databaseUrl(), nursery.photos())).contains("Written and read again");
        assertThat(BackupCheck.of(file).photos()).isEqualTo(1);
        assertThat(BackupCheck.of(file).isWhole()).isTrue();

        other.empty();
        Path elsewhere = Files.createDirectory(folder.resolve("elsewhere"));
        assertThat(run("restore", file, other.url(), elsewhere)).contains("Restored from", "1 photos");
        assertThat(Files.readAllBytes(elsewhere.resolve(picture.substring(0, 2) + "/" + picture + ".jpg")))
                .isEqualTo(
                        Files.readAllBytes(nursery.photos().resolve(picture.substring(0, 2) + "/" + picture + ".jpg")));
        // what came back is what is there: the same rows, written again
        Path again = folder.resolve("again.tar.gz");
        assertThat(run("backup", again, other.url(), elsewhere)).contains("Written and read again");
        Map<String, Long> rows = new LinkedHashMap<>(BackupCheck.of(file).rows());
        Map<String, Long> came = new LinkedHashMap<>(BackupCheck.of(again).rows());
        // but for the line that says that it was brought back
        assertThat(came.merge("security_event", -1L, Long::sum)).isEqualTo(rows.get("security_event"));
        assertThat(came).isEqualTo(rows);
        assertThat(run("restore", file, other.url(), elsewhere)).contains(Refusals.say("backup.makeEmpty"));
        assertThat(run("check", file, other.url(), elsewhere)).contains("Everything is there");
    }

    @Test
    void a_picture_that_the_journal_names_and_nobody_has_is_said_loudly() throws IOException {
        Path file = folder.resolve("without.tar.gz");
        Path empty = Files.createDirectory(folder.resolve("empty"));
        assertThat(run("backup", file, nursery.databaseUrl(), empty))
                .contains("NOT whole", "missing: photos/", "KG_PHOTOS");
        assertThat(run("verify", file, "", empty)).contains("NOT whole");
        assertThat(run("restore", file, other.url(), empty)).contains("not whole");
    }

    @Test
    void no_half_and_no_foreign_statement_is_taken() throws IOException {
        Path file = folder.resolve("good.tar.gz");
        run("backup", file, nursery.databaseUrl(), nursery.photos());
        Path trace = folder.resolve("was-run");
        for (UnaryOperator<String> spoil : List.<UnaryOperator<String>>of(
                sql -> sql.replace("\n-- Dump completed", "\n\\! touch " + trace + "\n-- Dump completed"),
                sql -> sql.replace("\n-- Dump completed", "\nDROP DATABASE kindgirdle;\n-- Dump completed"),
                // cut between two tables, with an end that looks right
                sql -> sql.substring(0, sql.indexOf("-- Table structure for table `layer_event`"))
                        + "\n-- Dump completed on 2026-07-10\n",
                sql -> sql.substring(0, sql.length() / 2),
                sql -> sql.replaceFirst("'CYDOBL'", "'CYDOBX'"))) {
            Path spoilt = spoilt(file, spoil);
            other.empty();
            assertThat(run("verify", spoilt, "", folder)).contains("kg: ").doesNotContain("Whole:");
            assertThat(run("restore", spoilt, other.url(), folder))
                    .contains("kg: ")
                    .doesNotContain("Restored");
        }
        assertThat(trace).doesNotExist();
        assertThatThrownBy(() -> BackupCheck.of(Files.writeString(folder.resolve("letter"), "no backup")))
                .isInstanceOf(BackupException.class);
    }

    @Test
    void a_file_cut_at_any_place_is_not_taken_for_whole() throws IOException {
        Path file = folder.resolve("long.tar.gz");
        run("backup", file, nursery.databaseUrl(), nursery.photos());
        byte[] all = Files.readAllBytes(file);
        for (int part = 1; part < 20; part++) {
            Path cut = Files.write(folder.resolve("cut.tar.gz"), Arrays.copyOf(all, all.length * part / 20));
            assertThat(run("verify", cut, "", folder)).contains("kg: ").doesNotContain("Whole:");
        }
    }

    @Test
    void a_backup_of_the_version_before_is_verified_and_comes_back() throws IOException {
        Path old = Path.of("src/test/resources/versions/0.1.0/backup.tar.gz");
        Path photos = Files.createDirectory(folder.resolve("old-photos"));
        assertThat(run("verify", old, "", photos)).contains("Whole", "644 layers", "13070 records", "3 photos");
        other.empty();
        assertThat(run("restore", old, other.url(), photos)).contains("Restored from");
        try (Stream<Path> files = Files.walk(photos)) {
            assertThat(files.filter(Files::isRegularFile)).hasSize(6);
        }
    }

    @Test
    void every_night_has_one_and_a_night_that_was_missed_is_made_up_for() {
        NightlyBackup nightly = nursery.bean(NightlyBackup.class);
        BackupFolder there = nursery.bean(BackupFolder.class);
        nursery.clock().moveTo(TODAY);
        assertThat(nightly.whenDue()).as("there was none").isTrue();
        assertThat(nightly.whenDue()).as("that of last night is there").isFalse();
        nursery.clock().moveBy(Duration.ofHours(12));
        assertThat(nightly.whenDue()).as("it is ten in the evening").isFalse();
        nursery.clock().moveBy(Duration.ofHours(5));
        assertThat(nightly.whenDue()).as("it is three at night").isTrue();
        nursery.clock().moveBy(Duration.ofDays(3));
        assertThat(nightly.whenDue()).as("the machine was off").isTrue();
        assertThat(there.all()).hasSize(3);
        assertThat(there.all())
                .allSatisfy(made ->
                        assertThat(BackupCheck.of(made.file()).isWhole()).isTrue());
        var told = nursery.again("odile").get("/api/v1/backups").expect(200).body();
        assertThat(told.path("nightly").asBoolean()).isTrue();
        assertThat(told.path("count").asInt()).isEqualTo(3);
        assertThat(told.path("problem").isNull()).isTrue();
        assertThat(Instant.parse(told.path("newestAt").asString()))
                .isBetween(
                        nursery.clock().instant().minusSeconds(60),
                        nursery.clock().instant());
    }

    private static String run(String name, Path file, String url, Path photos) {
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        int code = new BackupCommand(
                        Map.of("KG_DB_URL", url, "KG_DB_USER", "root", "KG_PHOTOS", photos.toString()),
                        photos,
                        Clock.fixed(NOW, ZoneOffset.UTC),
                        new PrintStream(said, true, StandardCharsets.UTF_8))
                .run(name, file);
        String text = said.toString(StandardCharsets.UTF_8);
        assertThat(code).as(text).isEqualTo(text.startsWith("kg: ") ? 1 : 0);
        return text;
    }

    /** The same file with another SQL in it. */
    private Path spoilt(Path file, UnaryOperator<String> spoil) throws IOException {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        BackupCheck.entries(file, (name, in) -> entries.put(name, in.readAllBytes()));
        entries.computeIfPresent(
                BackupCheck.SQL,
                (name, sql) ->
                        spoil.apply(new String(sql, StandardCharsets.UTF_8)).getBytes(StandardCharsets.UTF_8));
        Path spoilt = folder.resolve("spoilt.tar.gz");
        try (TarArchiveOutputStream tar =
                new TarArchiveOutputStream(new GzipCompressorOutputStream(Files.newOutputStream(spoilt)), "UTF-8")) {
            for (Map.Entry<String, byte[]> one : entries.entrySet()) {
                TarArchiveEntry entry = new TarArchiveEntry(one.getKey());
                entry.setSize(one.getValue().length);
                tar.putArchiveEntry(entry);
                new ByteArrayInputStream(one.getValue()).transferTo(tar);
                tar.closeArchiveEntry();
            }
        }
        return spoilt;
    }
}
