package org.kindgirdle.server.backup;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Where the nightly backups lie: their names say when they were made. */
@Component
class BackupFolder {

    private static final String BEFORE = "nursery-";
    private static final String AFTER = ".tar.gz";
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HHmmss'Z'");

    private final Path folder;

    BackupFolder(@Value("${kindgirdle.backups}") Path folder) {
        this.folder = folder;
    }

    /** One of them. */
    record Made(Path file, Instant at, long bytes) {}

    Path path() {
        return folder;
    }

    Path fileFor(Instant now) {
        return folder.resolve(BEFORE + STAMP.format(now.atOffset(ZoneOffset.UTC)) + AFTER);
    }

    Optional<Made> newest() {
        return all().stream().max(Comparator.comparing(Made::at));
    }

    List<Made> all() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.flatMap(file ->
                            at(file).map(at -> new Made(file, at, file.toFile().length())).stream())
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Optional<Instant> at(Path file) {
        String name = file.getFileName().toString();
        if (!name.startsWith(BEFORE) || !name.endsWith(AFTER)) {
            return Optional.empty();
        }
        try {
            String stamp = name.substring(BEFORE.length(), name.length() - AFTER.length());
            return Optional.of(LocalDateTime.parse(stamp, STAMP).toInstant(ZoneOffset.UTC));
        } catch (DateTimeParseException somebodyElses) {
            return Optional.empty();
        }
    }

    /** Clears away what the rule does not keep; of a day's several the newest stays. */
    void thin(ZoneId zone) throws IOException {
        List<Made> all = all();
        Set<LocalDate> kept = KeepRule.kept(
                all.stream().map(made -> LocalDate.ofInstant(made.at(), zone)).collect(Collectors.toSet()));
        for (Made made : all) {
            LocalDate day = LocalDate.ofInstant(made.at(), zone);
            boolean isNewestOfDay = all.stream()
                    .filter(other -> LocalDate.ofInstant(other.at(), zone).equals(day))
                    .noneMatch(other -> other.at().isAfter(made.at()));
            if (!kept.contains(day) || !isNewestOfDay) {
                Files.deleteIfExists(made.file());
            }
        }
    }

    long freeBytes() throws IOException {
        Files.createDirectories(folder);
        return Files.getFileStore(folder).getUsableSpace();
    }

    /** Runs something unless another copy of the application is at it. @return whether it ran */
    boolean alone(Runnable work) throws IOException {
        Files.createDirectories(folder);
        try (FileChannel channel =
                        FileChannel.open(folder.resolve(".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock lock = channel.tryLock()) {
            if (lock == null) {
                return false;
            }
            work.run();
            return true;
        }
    }
}
