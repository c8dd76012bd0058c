package org.kindgirdle.server.photos;

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
     */
    record PhotoView(
            UUID id,
            String hash,
            int width,
            int height,
            Instant occurredAt,
            String by,
            @Nullable UUID recordId) {}

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

    /** Of one layer, the newest first. */
    List<PhotoView> of(String code) {
        return jdbc.query(
                "select f.uuid, f.sha256, f.width, f.height, f.occurred_at, p.full_name, f.record_uuid"
                        + " from layer_photo f join layer l on l.id = f.layer_id join person p on p.id = f.person_id"
                        + " where l.code = ? and f.withdrawn_at is null order by f.occurred_at desc, f.id desc",
                (row, index) -> new PhotoView(
                        UUID.fromString(row.getString(1)),
                        row.getString(2),
                        row.getInt(3),
                        row.getInt(4),
                        row.getObject(5, LocalDateTime.class).toInstant(ZoneOffset.UTC),
                        row.getString(6),
                        row.getString(7) == null ? null : UUID.fromString(row.getString(7))),
                code);
    }

    void withdraw(String code, UUID id) {
        int done = jdbc.update(
                "update layer_photo set withdrawn_at = coalesce(withdrawn_at, ?) where uuid = ? and layer_id = ?",
                utc(clock.systemNow()),
                id.toString(),
                layer(code));
        if (done == 0) {
            throw ProblemException.notFound("photo", id);
        }
    }

    private long layer(String code) {
        return jdbc.queryForList("select id from layer where code = ?", Long.class, code).stream()
                .findFirst()
                .orElseThrow(() -> ProblemException.notFound("layer", code));
    }

    static String hash(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static LocalDateTime utc(Instant moment) {
        return LocalDateTime.ofInstant(moment, ZoneOffset.UTC);
    }
}
