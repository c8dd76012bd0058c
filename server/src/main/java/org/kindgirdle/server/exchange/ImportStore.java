package org.kindgirdle.server.exchange;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.opening.BeforeServing;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.security.ReplacedPeople;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The files that are being taken in, each on disk under its id, and how far they are. */
@Component
@Order(5)
class ImportStore implements BeforeServing {

    private static final Duration KEPT = Duration.ofDays(2);

    private final ImportFileRepository files;
    private final ImportMappingRepository mappings;
    private final EntityManager entities;
    private final BusinessClock clock;
    private final CurrentPerson person;
    private final Path folder;

    ImportStore(
            ImportFileRepository files,
            ImportMappingRepository mappings,
            EntityManager entities,
            BusinessClock clock,
            CurrentPerson person,
            @Value("${kindgirdle.imports}") Path folder) {
        this.files = files;
        this.mappings = mappings;
        this.entities = entities;
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
            @Nullable ImportFindings outcome) {}

    /** What was begun before the application ended was rolled back; files that nobody came back for are cleared away. */
    @Override
    @Transactional
    public void prepare() {
        files.end(List.of(State.LOOKING, State.TAKING), State.FAILED);
        files.olderThan(clock.systemNow().minus(KEPT)).forEach(this::drop);
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
            // at one stroke: another who sends the same may be reading it
            Files.move(part, path(id), StandardCopyOption.ATOMIC_MOVE);
            return Files.size(path(id));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Transactional
    public void add(UUID id, String name, boolean nursery, long bytes, Head head) {
        files.add(id, person.id(), name, nursery, bytes, clock.systemNow(), State.HERE, head);
    }

    Optional<ImportFile> find(UUID id) {
        return files.findById(id).map(ImportFileRow::view);
    }

    /** Puts it to work, if nothing is at work on it. @return whether it was */
    @Transactional
    public boolean begin(UUID id, State work, @Nullable Mapping mapping) {
        ImportFileRow row = entities.find(ImportFileRow.class, id, LockModeType.PESSIMISTIC_WRITE);
        if (row == null || row.state.isAtWork() || row.state == State.TAKEN) {
            return false;
        }
        row.state = work;
        row.done = 0;
        row.cancelled = false;
        row.mapping = mapping;
        row.outcome = null;
        return true;
    }

    /** In a transaction of its own, so that it is seen before the work is over. @return whether to go on */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public boolean advance(UUID id, long done) {
        files.advance(id, done);
        return !files.isCancelled(id).orElse(false);
    }

    @Transactional
    public void end(UUID id, State state, @Nullable ImportFindings outcome) {
        files.findById(id).ifPresent(row -> {
            row.state = state;
            row.outcome = outcome;
        });
    }

    @Transactional
    public void cancel(UUID id) {
        files.cancel(id);
    }

    /** Files are there with the nursery that is replaced: who replaces it goes on with them. */
    @EventListener
    @Transactional
    public void onRenumbered(ReplacedPeople.Renumbered people) {
        files.giveAllTo(people.owner());
    }

    /** Forgets it. */
    @Transactional
    public void drop(UUID id) {
        files.remove(id);
        try {
            Files.deleteIfExists(path(id));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** How the columns of a file with such a header were read the last time. */
    Optional<Mapping> remembered(String headerHash) {
        return mappings.findById(headerHash).map(one -> one.mapping);
    }

    @Transactional
    public void remember(String headerHash, Mapping mapping) {
        mappings.put(headerHash, mapping, clock.systemNow());
    }
}
