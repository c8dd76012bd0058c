package org.kindgirdle.server.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.opening.BeforeServing;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The files that are being taken in, each on disk under its id, and how far they are. */
@Component
@Order(5)
class ImportStore implements BeforeServing {

    private static final Duration KEPT = Duration.ofDays(2);

    private final JdbcTemplate jdbc;
    private final JsonMapper json;
    private final BusinessClock clock;
    private final CurrentPerson person;
    private final Path folder;

    ImportStore(
            JdbcTemplate jdbc,
            JsonMapper json,
            BusinessClock clock,
            CurrentPerson person,
            @Value("${kindgirdle.imports}") Path folder) {
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
        this.person = person;
        this.folder = folder;
    }

    /** Where a file is on its way. */
    enum State {
        /** it was sent */
        HERE,
        /** it is looked through */
        LOOKING,
        LOOKED,
        /** it is written, all or nothing */
        TAKING,
        TAKEN,
        /** something went wrong that nobody's file is to blame for; nothing was written */
        FAILED;

        boolean isAtWork() {
            return this == LOOKING || this == TAKING;
        }
    }

    /**
     * What a file begins with.
     *
     * @param header names of its columns; empty for a whole nursery, and where there is none
     * @param sample its first rows
     * @param broken why it can't be read; empty if it can
     */
    record Head(List<String> header, List<List<String>> sample, String broken) {}

    /**
     * A file.
     *
     * @param nursery whether it is a whole nursery, and not a table
     * @param done rows so far
     */
    record ImportFile(
            UUID id,
            String name,
            boolean nursery,
            long bytes,
            State state,
            long done,
            boolean cancelled,
            Head head,
            @Nullable Mapping mapping,
            @Nullable Outcome outcome) {}

    /** What was begun before the application ended was rolled back; files that nobody came back for are cleared away. */
    @Override
    public void prepare() {
        jdbc.update("update import_file set state = 'FAILED' where state in ('LOOKING', 'TAKING')");
        LocalDateTime before = LocalDateTime.ofInstant(clock.systemNow().minus(KEPT), ZoneOffset.UTC);
        jdbc.queryForList("select id from import_file where made_at < ?", String.class, before)
                .forEach(id -> drop(UUID.fromString(id)));
    }

    Path path(UUID id) {
        return folder.resolve(id.toString());
    }

    /** Keeps a file as it comes in. @return how long it is */
    long keep(UUID id, InputStream in) {
        try {
            Files.createDirectories(folder);
            Path part = Files.createTempFile(folder, "sent", ".part");
            try (OutputStream out = Files.newOutputStream(part)) {
                in.transferTo(out);
            } catch (IOException | RuntimeException cutOff) {
                Files.deleteIfExists(part);
                throw cutOff;
            }
            Files.move(part, path(id), StandardCopyOption.REPLACE_EXISTING);
            return Files.size(path(id));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Transactional
    public void add(UUID id, String name, boolean nursery, long bytes, Head head) {
        jdbc.update(
                "insert ignore into import_file (id, person_id, name, nursery, bytes, made_at, state, done, cancelled,"
                        + " head) values (?, ?, ?, ?, ?, ?, 'HERE', 0, false, ?)",
                id.toString(),
                person.id(),
                name,
                nursery,
                bytes,
                LocalDateTime.ofInstant(clock.systemNow(), ZoneOffset.UTC),
                json.writeValueAsString(head));
    }

    Optional<ImportFile> find(UUID id) {
        return jdbc
                .query(
                        "select id, name, nursery, bytes, state, done, cancelled, head, mapping, outcome from import_file"
                                + " where id = ?",
                        this::file,
                        id.toString())
                .stream()
                .findFirst();
    }

    private ImportFile file(ResultSet row, int index) throws SQLException {
        String mapping = row.getString("mapping");
        String outcome = row.getString("outcome");
        return new ImportFile(
                UUID.fromString(row.getString("id")),
                row.getString("name"),
                row.getBoolean("nursery"),
                row.getLong("bytes"),
                State.valueOf(row.getString("state")),
                row.getLong("done"),
                row.getBoolean("cancelled"),
                json.readValue(row.getString("head"), Head.class),
                mapping == null ? null : json.readValue(mapping, Mapping.class),
                outcome == null ? null : json.readValue(outcome, Outcome.class));
    }

    /** Puts it to work, if nothing is at work on it. @return whether it was */
    @Transactional
    public boolean begin(UUID id, State work, @Nullable Mapping mapping) {
        return jdbc.update(
                        "update import_file set state = ?, done = 0, cancelled = false, mapping = ?, outcome = null"
                                + " where id = ? and state not in ('LOOKING', 'TAKING', 'TAKEN')",
                        work.name(),
                        mapping == null ? null : json.writeValueAsString(mapping),
                        id.toString())
                > 0;
    }

    /** In a transaction of its own, so that it is seen before the work is over. @return whether to go on */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public boolean advance(UUID id, long done) {
        jdbc.update("update import_file set done = ? where id = ?", done, id.toString());
        Boolean cancelled =
                jdbc.queryForObject("select cancelled from import_file where id = ?", Boolean.class, id.toString());
        return !Boolean.TRUE.equals(cancelled);
    }

    @Transactional
    public void end(UUID id, State state, @Nullable Outcome outcome) {
        jdbc.update(
                "update import_file set state = ?, outcome = ? where id = ?",
                state.name(),
                outcome == null ? null : json.writeValueAsString(outcome),
                id.toString());
    }

    @Transactional
    public void cancel(UUID id) {
        jdbc.update("update import_file set cancelled = true where id = ?", id.toString());
    }

    /** Forgets it. */
    @Transactional
    public void drop(UUID id) {
        jdbc.update("delete from import_file where id = ?", id.toString());
        try {
            Files.deleteIfExists(path(id));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** How the columns of a file with such a header were read the last time. */
    Optional<Mapping> remembered(String headerHash) {
        List<String> known =
                jdbc.queryForList("select mapping from import_mapping where header_hash = ?", String.class, headerHash);
        return known.stream().findFirst().map(text -> json.readValue(text, Mapping.class));
    }

    @Transactional
    public void remember(String headerHash, Mapping mapping) {
        jdbc.update(
                "replace into import_mapping (header_hash, mapping, used_at) values (?, ?, ?)",
                headerHash,
                json.writeValueAsString(mapping),
                LocalDateTime.ofInstant(clock.systemNow(), ZoneOffset.UTC));
    }
}
