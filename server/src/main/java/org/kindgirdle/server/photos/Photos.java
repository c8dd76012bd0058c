package org.kindgirdle.server.photos;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.digest.Sha256;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.sentences.Refusals;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;

/** Pictures of layers. One that was thrown away is shown no more, and stays. */
@Service
class Photos {

    private final LayerPhotoRepository photos;
    private final PhotoFolder folder;
    private final BusinessClock clock;
    private final CurrentPerson person;

    Photos(LayerPhotoRepository photos, PhotoFolder folder, BusinessClock clock, CurrentPerson person) {
        this.photos = photos;
        this.folder = folder;
        this.clock = clock;
        this.person = person;
    }

    /**
     * A picture.
     *
     * @param hash under which it is fetched
     * @param recordId of the record that it was made with; null if with none
     * @param withdrawnAt when it was taken away; null while it is shown
     * @param withdrawnBy who took it away
     */
    record PhotoView(
            UUID id,
            String hash,
            int width,
            int height,
            Instant occurredAt,
            String by,
            @Nullable UUID recordId,
            @Nullable Instant withdrawnAt,
            @Nullable String withdrawnBy) {}

    PhotoView add(String code, UUID id, Picture picture, Instant occurredAt, @Nullable UUID recordId) {
        long layer = layer(code);
        String hash = hash(picture.jpeg());
        folder.keep(hash, picture);
        LayerPhotoRow row = new LayerPhotoRow(id, layer, person.id());
        row.recordUuid = recordId;
        row.sha256 = hash;
        row.width = picture.width();
        row.height = picture.height();
        row.bytes = picture.jpeg().length;
        row.occurredAt = occurredAt;
        row.recordedAt = clock.systemNow();
        photos.save(row);
        return of(code).stream()
                .filter(photo -> photo.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** Of one layer, the newest first; those that were taken away among them, for nothing goes without a trace. */
    List<PhotoView> of(String code) {
        return photos.of(code).stream()
                .map(one -> new PhotoView(
                        one.photo().uuid,
                        one.photo().sha256,
                        one.photo().width,
                        one.photo().height,
                        one.photo().occurredAt,
                        one.by(),
                        one.photo().recordUuid,
                        one.photo().withdrawnAt,
                        one.withdrawnBy()))
                .toList();
    }

    /** One's own; another's only by an owner. */
    void withdraw(String code, UUID id) {
        LayerPhotoRow photo =
                photos.findByUuidAndLayerId(id, layer(code)).orElseThrow(() -> ProblemException.notFound("photo", id));
        if (photo.personId != person.id() && !person.isOwner()) {
            throw ProblemException.forbidden(Refusals.say("photo.others"));
        }
        if (photo.withdrawnAt == null) {
            photo.withdrawnAt = clock.systemNow();
            photo.withdrawnBy = person.id();
            photos.save(photo);
        }
    }

    private long layer(String code) {
        return photos.layerId(code).orElseThrow(() -> ProblemException.notFound("layer", code));
    }

    static String hash(byte[] bytes) {
        return Sha256.hex(bytes);
    }

    /** Writes what comes in into a file. @return its hash */
    static String spool(InputStream in, Path file) throws IOException {
        MessageDigest digest = Sha256.digest();
        try (OutputStream out = new DigestOutputStream(Files.newOutputStream(file), digest)) {
            in.transferTo(out);
        }
        return Sha256.hex(digest);
    }
}
