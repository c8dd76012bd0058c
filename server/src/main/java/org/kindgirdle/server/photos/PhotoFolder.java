package org.kindgirdle.server.photos;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The pictures on disk, each under its hash. A file is there whole or not at all, and is never changed. */
@Component
class PhotoFolder {

    private final Path folder;

    PhotoFolder(@Value("${kindgirdle.photos}") Path folder) {
        this.folder = folder;
    }

    void keep(String hash, Picture picture) {
        write(file(hash, false), picture.jpeg());
        write(file(hash, true), picture.thumb());
    }

    /** A new empty file on the same disk, for what is on its way in. */
    Path newFile() {
        try {
            Files.createDirectories(folder);
            return Files.createTempFile(folder, "sent", ".part");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    Optional<Path> find(String hash, boolean small) {
        return Optional.of(file(hash, small)).filter(Files::isRegularFile);
    }

    private Path file(String hash, boolean small) {
        return folder.resolve(hash.substring(0, 2)).resolve(hash + (small ? "-small.jpg" : ".jpg"));
    }

    private static void write(Path file, byte[] bytes) {
        try {
            if (Files.exists(file)) {
                return;
            }
            Files.createDirectories(file.getParent());
            Path part = Files.createTempFile(file.getParent(), "photo", ".part");
            try (FileChannel out = FileChannel.open(part, StandardOpenOption.WRITE)) {
                out.write(ByteBuffer.wrap(bytes));
                // the row that names it is not to outlive it in a power cut
                out.force(true);
            }
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
