package org.kindgirdle.server.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.LongPredicate;
import org.kindgirdle.server.csv.CsvRows;
import org.kindgirdle.server.exchange.NurseryTables.Kept;
import org.kindgirdle.server.persistence.Looking;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.ObjectNode;

/** Takes a table in from its file: all of it in one transaction, or nothing. */
@Component
class ImportWork {

    /** How often it is told how far it is, and asked whether to go on. */
    private static final int TELL_EVERY = 500;

    /** Once so many lines are bad, the file is of another kind than it was taken for. */
    private static final int GIVE_UP_AFTER = 5000;

    private static final Set<String> OF_LAYERS = Set.of("layer", "layer_event", "layer_photo");

    private final TransactionTemplate transaction;
    private final Tables tables;
    private final ImportStore store;
    private final NurseryTables kept;
    private final Shadows shadows;

    ImportWork(TransactionTemplate transaction, Tables tables, ImportStore store, NurseryTables kept, Shadows shadows) {
        this.kept = kept;
        this.shadows = shadows;
        this.transaction = transaction;
        this.tables = tables;
        this.store = store;
    }

    /** Somebody asked it to stop. */
    static final class CancelledException extends RuntimeException {}

    /** @param look only see what would become of the rows: nothing is written */
    ImportFindings run(UUID id, Mapping mapping, boolean look) {
        Counting counting = new Counting(look);
        transaction.executeWithoutResult(open -> {
            List<String> shadowed = look ? shadowed() : List.of();
            try {
                if (look) {
                    Looking.begin();
                    shadows.copy(shadowed);
                }
                read(store.path(id), mapping, counting, done -> store.advance(id, done));
            } finally {
                if (look) {
                    shadows.lift(shadowed);
                }
            }
            if (look || counting.isBad()) {
                open.setRollbackOnly();
            }
        });
        return counting.outcome();
    }

    /** All that a table's file may change, but layers and what hangs on them: a look writes none of those. */
    private List<String> shadowed() {
        return kept.all().stream()
                .map(Kept::table)
                .filter(table -> !OF_LAYERS.contains(table))
                .toList();
    }

    private void read(Path file, Mapping mapping, Counting counting, LongPredicate goesOn) {
        Table table = tables.of(mapping.table());
        try (CsvRows rows = CsvRows.of(file)) {
            Translation translation = new Translation(mapping, table.columns(), rows.header());
            Table.Intake intake = table.intake(counting);
            CsvRows.Line line = rows.next();
            while (line != null) {
                counting.row();
                take(line, translation, intake, counting);
                if (counting.rows() % TELL_EVERY == 0 && !goesOn.test(counting.rows())) {
                    throw new CancelledException();
                }
                if (counting.badRows() >= GIVE_UP_AFTER) {
                    counting.broken(Refusals.say("import.gaveUp", "lines", GIVE_UP_AFTER));
                    return;
                }
                line = rows.next();
            }
            intake.finish();
            if (!goesOn.test(counting.rows())) {
                throw new CancelledException();
            }
        } catch (CsvRows.UnreadableException | ProblemException broken) {
            counting.broken(String.valueOf(broken.getMessage()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void take(CsvRows.Line line, Translation translation, Table.Intake intake, Counting counting) {
        ObjectNode row;
        try {
            row = translation.row(line);
        } catch (RowException refused) {
            counting.wrong(line.number(), refused.wrong());
            return;
        }
        intake.take(row, line.number());
    }
}
