package org.kindgirdle.server.photos;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.stereotype.Service;

/** The pictures' files, for those that carry a whole nursery elsewhere. */
@Service
public class PhotoFiles {

    private final PhotoFolder folder;
    private final PictureQueue queue;

    PhotoFiles(PhotoFolder folder, PictureQueue queue) {
        this.folder = folder;
        this.queue = queue;
    }

    /** The picture under a hash; empty if its file is gone. */
    public Optional<byte[]> jpeg(String hash) {
        Optional<Path> file = folder.find(hash, false);
        try {
            return file.isEmpty() ? Optional.empty() : Optional.of(Files.readAllBytes(file.get()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Keeps a picture as it is under its hash.
     *
     * @throws ProblemException if it is no picture, or another one than the hash says
     */
    public void keep(String hash, byte[] jpeg) {
        if (!Photos.hash(jpeg).equals(hash)) {
            throw ProblemException.invalid("sha256", hash, Photos.hash(jpeg), Refusals.say("photo.sha256"));
        }
        folder.keep(hash, queue.inTurn(() -> Picture.keptBefore(jpeg)));
    }
}
