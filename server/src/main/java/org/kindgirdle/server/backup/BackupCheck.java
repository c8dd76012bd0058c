package org.kindgirdle.server.backup;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.compress.archivers.tar.TarArchiveEntry;
import org.apache.commons.compress.archivers.tar.TarArchiveInputStream;
import org.apache.commons.compress.compressors.gzip.GzipCompressorInputStream;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.digest.Sha256;
import org.kindgirdle.server.sentences.Refusals;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Looks through a backup from its first byte to its last, whoever wrote it, without any database. */
final class BackupCheck {

    static final String SQL = "kindgirdle.sql";

    /** Of the files that version 0.1 wrote, which had no counts. */
    private static final int OLDEST_FORMAT = 1;

    private static final Pattern PHOTO = Pattern.compile("photos/[0-9a-f]{2}/([0-9a-f]{64})(-small)?\\.jpg");

    private static final JsonMapper JSON = new JsonMapper();

    private BackupCheck() {}

    /**
     * What a backup holds.
     *
     * @param schema number of the newest migration of its database
     * @param rows by table
     * @param problems what of it is not as it says, or as the journal says; empty if it is whole
     */
    record Found(
            int format, String madeAt, int schema, SortedMap<String, Long> rows, int photos, List<String> problems) {

        boolean isWhole() {
            return problems.isEmpty();
        }
    }

    /** @throws BackupException if it is no backup, or one that can't be read to its end */
    static Found of(Path file) {
        DumpContents contents = new DumpContents();
        SortedMap<String, String> hashes = new TreeMap<>();
        String[] format = {null};
        try {
            entries(file, (entry, in) -> {
                if (entry.equals(Manifest.ENTRY)) {
                    format[0] = new String(in.readAllBytes(), StandardCharsets.UTF_8);
                    return;
                }
                MessageDigest digest = Sha256.digest();
                DigestInputStream hashing = new DigestInputStream(in, digest);
                if (entry.equals(SQL)) {
                    DumpReader.read(new InputStreamReader(hashing, StandardCharsets.UTF_8), contents);
                }
                hashing.transferTo(OutputStream.nullOutputStream());
                hashes.put(entry, Sha256.hex(digest));
            });
        } catch (IOException broken) {
            throw new BackupException(Refusals.say("backup.cutOff", "file", file), Refusals.say("backup.giveBackup"));
        }
        return found(file, format[0], contents, hashes);
    }

    private static Found found(
            Path file, @Nullable String format, DumpContents contents, SortedMap<String, String> hashes) {
        if (format == null || !format.startsWith(Manifest.MARK) || !hashes.containsKey(SQL)) {
            throw new BackupException(
                    Refusals.say("backup.notWhole.end", "file", file), Refusals.say("backup.giveBackup"));
        }
        String[] lines = format.substring(Manifest.MARK.length()).split("\n", 2);
        int number = lines[0].strip().matches("\\d{1,4}") ? Integer.parseInt(lines[0].strip()) : 0;
        if (number < OLDEST_FORMAT || number > Manifest.FORMAT) {
            throw new BackupException(
                    Refusals.say("backup.format", "format", lines[0].strip(), "newest", Manifest.FORMAT),
                    Refusals.say("backup.takeItsVersion"));
        }
        Manifest manifest = number == OLDEST_FORMAT ? null : manifest(lines);
        Stream<String> wrong = Stream.concat(
                pictures(contents, hashes),
                manifest == null
                        ? Stream.of()
                        : Stream.concat(
                                differing("table", manifest.rows(), contents.rows()),
                                differing("entry", manifest.sha256(), hashes)));
        return new Found(
                number,
                manifest == null ? "" : manifest.madeAt(),
                contents.schema(),
                contents.rows(),
                contents.photos().size(),
                wrong.sorted().toList());
    }

    private static Manifest manifest(String[] lines) {
        try {
            return JSON.readValue(lines.length < 2 ? "" : lines[1], Manifest.class);
        } catch (JacksonException broken) {
            throw new BackupException(Refusals.say("backup.manifest"), DumpReader.DAMAGED);
        }
    }

    /** Every picture that the journal names is there, and is what its name says. */
    private static Stream<String> pictures(DumpContents contents, Map<String, String> hashes) {
        Stream<String> missing = contents.photos().stream()
                .flatMap(hash -> Stream.of(photo(hash, false), photo(hash, true)))
                .filter(entry -> !hashes.containsKey(entry))
                .map(entry -> "missing: " + entry);
        Stream<String> other = hashes.entrySet().stream()
                .filter(entry -> {
                    var named = PHOTO.matcher(entry.getKey());
                    return named.matches()
                            && named.group(2) == null
                            && !named.group(1).equals(entry.getValue());
                })
                .map(entry -> "another picture than its name says: " + entry.getKey());
        return Stream.concat(missing, other);
    }

    private static Stream<String> differing(String what, Map<String, ?> said, Map<String, ?> found) {
        return Stream.concat(said.keySet().stream(), found.keySet().stream())
                .distinct()
                .filter(key -> !String.valueOf(said.get(key)).equals(String.valueOf(found.get(key))))
                .map(key -> what + " " + key + ": it says " + said.get(key) + ", and " + found.get(key) + " is there");
    }

    static String photo(String hash, boolean small) {
        return "photos/" + hash.substring(0, 2) + "/" + hash + (small ? "-small.jpg" : ".jpg");
    }

    /** What is done with one entry of the file. */
    interface Taker {
        void take(String name, InputStream in) throws IOException;
    }

    /** Goes through the entries that are files, in their order; their names have no "./" before them. */
    static void entries(Path file, Taker taker) throws IOException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file));
                TarArchiveInputStream tar = new TarArchiveInputStream(GzipCompressorInputStream.builder()
                        .setInputStream(in)
                        .setDecompressConcatenated(true)
                        .get())) {
            for (TarArchiveEntry entry = tar.getNextEntry(); entry != null; entry = tar.getNextEntry()) {
                if (entry.isFile()) {
                    taker.take(entry.getName().replaceFirst("^\\./", ""), tar);
                }
            }
        }
    }
}
