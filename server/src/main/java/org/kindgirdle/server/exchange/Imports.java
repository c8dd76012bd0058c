package org.kindgirdle.server.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.csv.CsvRows;
import org.kindgirdle.server.digest.Sha256;
import org.kindgirdle.server.exchange.ImportStore.Head;
import org.kindgirdle.server.exchange.ImportStore.ImportFile;
import org.kindgirdle.server.exchange.ImportStore.State;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.security.concurrent.DelegatingSecurityContextRunnable;
import org.springframework.stereotype.Service;

/** Files on their way in: sent, looked through, and then taken whole or not at all. */
@Service
class Imports implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Imports.class);
    private static final int SAMPLE_ROWS = 5;
    private static final int MAX_VALUES = 200;

    /** Rows in which a column's words are looked for. */
    private static final int ROWS_FOR_VALUES = 200_000;

    private final ImportStore store;
    private final ImportWork work;
    private final NurseryReader nurseries;
    private final Tables tables;
    private final ExecutorService worker = Executors.newSingleThreadExecutor();

    Imports(ImportStore store, ImportWork work, NurseryReader nurseries, Tables tables) {
        this.store = store;
        this.work = work;
        this.nurseries = nurseries;
        this.tables = tables;
    }

    /**
     * A file and how far it is.
     *
     * @param header names of its columns; empty for a whole nursery
     * @param sample its first rows
     * @param mapping how it is read: as it was the last time, or as the names of its columns suggest
     * @param remembered whether a file with such a header was taken in before
     */
    record ImportView(
            UUID id,
            String name,
            boolean nursery,
            long bytes,
            State state,
            long done,
            boolean cancelled,
            List<String> header,
            List<List<String>> sample,
            @Nullable Mapping mapping,
            boolean remembered,
            @Nullable ImportFindings outcome) {}

    ImportView add(UUID id, String name, boolean nursery, InputStream in) {
        if (store.find(id).isEmpty()) {
            long bytes = store.keep(id, in);
            store.add(id, name, nursery, bytes, nursery ? new Head(List.of(), List.of(), "") : head(id));
        }
        return view(id);
    }

    private Head head(UUID id) {
        try (CsvRows rows = CsvRows.of(store.path(id))) {
            List<List<String>> sample = new ArrayList<>();
            CsvRows.Line line = rows.next();
            while (line != null && sample.size() < SAMPLE_ROWS) {
                sample.add(line.cells());
                line = rows.next();
            }
            return new Head(rows.header(), sample, "");
        } catch (CsvRows.UnreadableException broken) {
            return new Head(List.of(), List.of(), String.valueOf(broken.getMessage()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    ImportView view(UUID id) {
        ImportFile file = found(id);
        Head head = file.head();
        ImportFindings outcome = head.broken().isEmpty()
                ? file.outcome()
                : new ImportFindings(0, 0, 0, 0, List.of(), 0, 0, List.of(), head.broken());
        if (head.header().isEmpty()) {
            return view(file, null, false, outcome);
        }
        Mapping known = store.remembered(hash(head.header())).orElse(null);
        Mapping mapping = file.mapping() != null
                ? file.mapping()
                : known != null ? known : Suggestion.of(head.header(), head.sample(), tables.all());
        return view(file, mapping, known != null, outcome);
    }

    /** How the columns of a file would be those of another table. */
    Mapping suggestion(UUID id, String table) {
        Head head = readable(id);
        return Suggestion.of(head.header(), head.sample(), tables.of(table));
    }

    /** A word of a column, and in how many rows it stands. */
    record WordCount(String word, long rows) {}

    /** The words in one of the file's columns, the first two hundred. */
    List<WordCount> words(UUID id, String column) {
        found(id);
        Map<String, Long> words = new LinkedHashMap<>();
        try (CsvRows rows = CsvRows.of(store.path(id))) {
            int index = rows.header().indexOf(column);
            if (index < 0) {
                throw ProblemException.invalid(
                        "column", column, Refusals.say("import.column.allowed"), Refusals.say("import.column"));
            }
            CsvRows.Line line = rows.next();
            for (int i = 0; i < ROWS_FOR_VALUES && line != null; i++) {
                String word = line.cells().get(index).strip();
                if (!word.isEmpty() && (words.containsKey(word) || words.size() < MAX_VALUES)) {
                    words.merge(word, 1L, Long::sum);
                }
                line = rows.next();
            }
        } catch (CsvRows.UnreadableException broken) {
            throw ProblemException.invalid(
                    "file", "", Refusals.say("import.file.csv"), String.valueOf(broken.getMessage()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return words.entrySet().stream()
                .map(one -> new WordCount(one.getKey(), one.getValue()))
                .toList();
    }

    /** Looks through it, or takes it. It goes on by itself; {@link #view} says how far it is. */
    ImportView begin(UUID id, @Nullable Mapping mapping, boolean look) {
        ImportFile file = found(id);
        if (file.state() == State.TAKEN) {
            return view(id);
        }
        if (!file.nursery()) {
            check(id, mapping);
        }
        if (!store.begin(id, look ? State.LOOKING : State.TAKING, mapping)) {
            throw ProblemException.conflict(
                    Refusals.say("import.working.title"), Refusals.say("import.working.wait"), Map.of("id", id));
        }
        worker.submit(new DelegatingSecurityContextRunnable(() -> run(id, file.nursery(), mapping, look)));
        return view(id);
    }

    private void check(UUID id, @Nullable Mapping mapping) {
        if (mapping == null) {
            throw ProblemException.invalid(
                    "table", "", Refusals.say("import.table.allowed"), Refusals.say("import.table"));
        }
        // refuses what does not fit
        new Translation(
                mapping, tables.of(mapping.table()).columns(), readable(id).header());
    }

    private Head readable(UUID id) {
        Head head = found(id).head();
        if (head.header().isEmpty()) {
            throw ProblemException.invalid("file", "", Refusals.say("import.file.header"), head.broken());
        }
        return head;
    }

    private void run(UUID id, boolean nursery, @Nullable Mapping mapping, boolean look) {
        try {
            ImportFindings outcome = nursery || mapping == null ? nurseries.run(id, look) : work.run(id, mapping, look);
            if (look || !outcome.isGood()) {
                store.end(id, State.LOOKED, outcome);
                return;
            }
            store.end(id, State.TAKEN, outcome);
            if (mapping != null) {
                store.remember(hash(found(id).head().header()), mapping);
            }
        } catch (ImportWork.CancelledException cancelled) {
            store.end(id, State.HERE, null);
        } catch (RuntimeException failed) {
            LOG.error("Import {} failed; nothing was written", id, failed);
            store.end(id, State.FAILED, null);
        }
    }

    void cancel(UUID id) {
        store.cancel(found(id).id());
    }

    void drop(UUID id) {
        ImportFile file = found(id);
        if (file.state().isAtWork()) {
            throw ProblemException.conflict(
                    Refusals.say("import.working.title"), Refusals.say("import.working.stop"), Map.of("id", id));
        }
        store.drop(id);
    }

    private ImportFile found(UUID id) {
        return store.find(id).orElseThrow(() -> ProblemException.notFound("file", id));
    }

    private static ImportView view(
            ImportFile file, @Nullable Mapping mapping, boolean remembered, @Nullable ImportFindings outcome) {
        return new ImportView(
                file.id(),
                file.name(),
                file.nursery(),
                file.bytes(),
                file.state(),
                file.done(),
                file.cancelled(),
                file.head().header(),
                file.head().sample(),
                mapping,
                remembered,
                outcome);
    }

    private static String hash(List<String> header) {
        return Sha256.hex(String.join("\n", header));
    }

    @Override
    public void destroy() {
        worker.shutdownNow();
    }
}
