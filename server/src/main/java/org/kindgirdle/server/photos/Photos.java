package org.kindgirdle.server.photos;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HexFormat;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** Pictures of layers. One that was thrown away is shown no more, and stays. */
@Service
class Photos {

    private final JdbcTemplate jdbc;
    private final PhotoFolder folder;
    private final BusinessClock clock;
    private final CurrentPerson person;

    Photos(JdbcTemplate jdbc, PhotoFolder folder, BusinessClock clock, CurrentPerson person) {
        this.jdbc = jdbc;
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
        jdbc.update(
                "insert into layer_photo (uuid, layer_id, record_uuid, sha256, width, height, bytes, occurred_at,"
                        + " recorded_at, person_id) values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                id.toString(),
                layer,
                recordId == null ? null : recordId.toString(),
                hash,
                picture.width(),
                picture.height(),
                picture.jpeg().length,
                utc(occurredAt),
                utc(clock.systemNow()),
                person.id());
        return of(code).stream()
                .filter(photo -> photo.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** Of one layer, the newest first; those that were taken away among them, for nothing goes without a trace. */
    List<PhotoView> of(String code) {
        return jdbc.query(
                "select f.uuid, f.sha256, f.width, f.height, f.occurred_at, p.full_name, f.record_uuid, f.withdrawn_at,"
                        + " w.full_name from layer_photo f join layer l on l.id = f.layer_id"
                        + " join person p on p.id = f.person_id left join person w on w.id = f.withdrawn_by"
                        + " where l.code = ? order by f.occurred_at desc, f.id desc",
                (row, index) -> new PhotoView(
                        UUID.fromString(row.getString(1)),
                        row.getString(2),
                        row.getInt(3),
                        row.getInt(4),
                        row.getObject(5, LocalDateTime.class).toInstant(ZoneOffset.UTC),
                        row.getString(6),
                        row.getString(7) == null ? null : UUID.fromString(row.getString(7)),
                        instant(row.getObject(8, LocalDateTime.class)),
                        row.getString(9)),
                code);
    }

    /** One's own; another's only by an owner. */
    void withdraw(String code, UUID id) {
        Long by = jdbc
                .queryForList(
                        "select person_id from layer_photo where uuid = ? and layer_id = ?",
                        Long.class,
                        id.toString(),
                        layer(code))
                .stream()
                .findFirst()
                .orElseThrow(() -> ProblemException.notFound("photo", id));
        if (by != person.id() && !person.isOwner()) {
            throw ProblemException.forbidden(
                    "Somebody else took this picture. Ask them, or an owner, to take it away.");
        }
        jdbc.update(
                "update layer_photo set withdrawn_at = ?, withdrawn_by = ? where uuid = ? and withdrawn_at is null",
                utc(clock.systemNow()),
                person.id(),
                id.toString());
    }

    private static @Nullable Instant instant(@Nullable LocalDateTime utc) {
        return utc == null ? null : utc.toInstant(ZoneOffset.UTC);
    }

    private long layer(String code) {
        return jdbc.queryForList("select id from layer where code = ?", Long.class, code).stream()
                .findFirst()
                .orElseThrow(() -> ProblemException.notFound("layer", code));
    }

    static String hash(byte[] bytes) {
        return HexFormat.of().formatHex(sha256().digest(bytes));
    }

    /** Writes what comes in into a file. @return its hash */
    static String spool(InputStream in, Path file) throws IOException {
        MessageDigest digest = sha256();
        try (OutputStream out = new DigestOutputStream(Files.newOutputStream(file), digest)) {
            in.transferTo(out);
        }
        return HexFormat.of().formatHex(digest.digest());
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static LocalDateTime utc(Instant moment) {
        return LocalDateTime.ofInstant(moment, ZoneOffset.UTC);
    }
}
