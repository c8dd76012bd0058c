package org.kindgirdle.server.backup;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.apache.commons.compress.archivers.tar.TarArchiveEntry;
import org.apache.commons.compress.archivers.tar.TarArchiveOutputStream;
import org.apache.commons.compress.compressors.gzip.GzipCompressorOutputStream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.digest.Sha256;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes the whole nursery into one file, at one moment of it while people go on recording, and looks it through.
 * Pictures are on the disk before the rows that name them, so those that the dump names are all there after it.
 */
final class BackupWriter {

    /** What does not belong in it: who is signed in, failed tries, files on their way in. */
    private static final List<String> LEFT_OUT =
            List.of("SPRING_SESSION", "SPRING_SESSION_ATTRIBUTES", "sign_in_failure", "known_device", "import_file");

    private static final JsonMapper JSON = new JsonMapper();

    private final Database database;
    private final Path photos;

    BackupWriter(Database database, Path photos) {
        this.database = database;
        this.photos = photos;
    }

    /**
     * Writes it. It stands under its name only when it is complete, with whatever is wrong with it said.
     *
     * @param application version that writes it
     * @return what was found in it when it was read again
     * @throws BackupException if it can't be written
     */
    BackupCheck.Found write(Path file, String application, Instant now) {
        Path folder = file.toAbsolutePath().getParent();
        Path sql = null;
        Path part = null;
        try {
            Files.createDirectories(folder);
            sql = Files.createTempFile(folder, ".kg-dump", ".sql");
            part = Files.createTempFile(folder, ".kg-backup", ".part");
            Files.setPosixFilePermissions(part, PosixFilePermissions.fromString("rw-------"));
            dump(sql);
            DumpContents contents = new DumpContents();
            try (var in = Files.newBufferedReader(sql, StandardCharsets.UTF_8)) {
                DumpReader.read(in, contents);
            }
            pack(part, sql, contents, application, now);
            BackupCheck.Found found = BackupCheck.of(part);
            Files.move(part, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
            return found;
        } catch (IOException e) {
            throw new BackupException(
                    Refusals.say("backup.unwritable", "file", file, "message", e.getMessage()),
                    Refusals.say("backup.isRoom"));
        } finally {
            clear(sql);
            clear(part);
        }
    }

    private void pack(Path part, Path sql, DumpContents contents, String application, Instant now) throws IOException {
        SortedMap<String, String> hashes = new TreeMap<>();
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part));
                TarArchiveOutputStream tar = new TarArchiveOutputStream(new GzipCompressorOutputStream(out), "UTF-8")) {
            tar.setBigNumberMode(TarArchiveOutputStream.BIGNUMBER_POSIX);
            hashes.put(BackupCheck.SQL, add(tar, BackupCheck.SQL, sql));
            for (String hash : contents.photos()) {
                for (boolean small : new boolean[] {false, true}) {
                    String entry = BackupCheck.photo(hash, small);
                    Path picture = photos.resolve(entry.substring("photos/".length()));
                    if (Files.isRegularFile(picture)) {
                        hashes.put(entry, add(tar, entry, picture));
                    }
                }
            }
            Manifest manifest = new Manifest(
                    Manifest.FORMAT,
                    application,
                    Integer.toString(contents.schema()),
                    now.toString(),
                    contents.rows(),
                    hashes);
            byte[] text = (Manifest.MARK + Manifest.FORMAT + "\n"
                            + JSON.writerWithDefaultPrettyPrinter().writeValueAsString(manifest) + "\n")
                    .getBytes(StandardCharsets.UTF_8);
            TarArchiveEntry entry = new TarArchiveEntry(Manifest.ENTRY);
            entry.setSize(text.length);
            tar.putArchiveEntry(entry);
            tar.write(text);
            tar.closeArchiveEntry();
        }
    }

    private static String add(TarArchiveOutputStream tar, String name, Path file) throws IOException {
        MessageDigest digest = Sha256.digest();
        TarArchiveEntry entry = new TarArchiveEntry(name);
        entry.setSize(Files.size(file));
        tar.putArchiveEntry(entry);
        try (InputStream in = new DigestInputStream(Files.newInputStream(file), digest)) {
            in.transferTo(tar);
        }
        tar.closeArchiveEntry();
        return Sha256.hex(digest);
    }

    /** By the database's own tool: one consistent picture, while people go on recording. */
    private void dump(Path sql) throws IOException {
        List<String> command = Stream.concat(
                        Stream.of(
                                "mariadb-dump",
                                "--no-defaults",
                                "--protocol=TCP",
                                "--host=" + database.host(),
                                "--port=" + database.port(),
                                "--user=" + database.user(),
                                "--single-transaction",
                                "--skip-triggers",
                                "--hex-blob",
                                "--default-character-set=utf8mb4",
                                "--result-file=" + sql),
                        Stream.concat(
                                LEFT_OUT.stream().map(table -> "--ignore-table-data=" + database.name() + "." + table),
                                Stream.of(database.name())))
                .toList();
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().put("MYSQL_PWD", database.password());
        Process process;
        try {
            process = builder.start();
        } catch (IOException e) {
            throw new BackupException(Refusals.say("backup.noDumpCommand"), Refusals.say("backup.installClient"));
        }
        process.getOutputStream().close();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        try {
            if (process.waitFor() != 0) {
                throw new BackupException(
                        Refusals.say("backup.dumpFailed", "said", said), Refusals.say("backup.isRunningWithRoom"));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            process.destroyForcibly();
            throw new BackupException(Refusals.say("backup.interrupted"), Refusals.say("backup.runAgain"));
        }
    }

    private static void clear(@Nullable Path path) {
        try {
            if (path != null) {
                Files.deleteIfExists(path);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
