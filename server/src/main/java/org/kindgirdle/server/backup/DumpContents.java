package org.kindgirdle.server.backup;

import java.util.List;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.sentences.Refusals;

/** Counts what is in a dump, and gathers the names that the rest of a backup is held to. */
final class DumpContents implements DumpReader.Listener {

    /** Where a picture's row keeps its hash: the layout of {@code layer_photo} since it was made. */
    private static final int PHOTO_HASH = 4;

    private static final int MIGRATION_VERSION = 1;

    /** Tables without which there is no nursery. */
    private static final Set<String> ALWAYS = Set.of("flyway_schema_history", "nursery_lock", "counter");

    private final SortedMap<String, Long> rows = new TreeMap<>();
    private final SortedSet<String> photos = new TreeSet<>();
    private int schema;

    @Override
    public void row(String table, List<@Nullable Object> values) {
        rows.merge(table, 1L, Long::sum);
        if (table.equals("layer_photo") && values.size() > PHOTO_HASH) {
            photos.add(String.valueOf(values.get(PHOTO_HASH)));
        }
        if (table.equals("flyway_schema_history") && values.get(MIGRATION_VERSION) != null) {
            schema = Math.max(schema, Integer.parseInt(String.valueOf(values.get(MIGRATION_VERSION))));
        }
    }

    @Override
    public void sequence(String name, long next, boolean isUsed) {
        rows.put(name, 1L);
    }

    SortedMap<String, Long> rows() {
        return rows;
    }

    /** Hashes of the pictures that the journal names. */
    SortedSet<String> photos() {
        return photos;
    }

    /** Number of the newest migration. */
    int schema() {
        if (!rows.keySet().containsAll(ALWAYS)) {
            throw new BackupException(Refusals.say("backup.tablesMissing"), DumpReader.DAMAGED);
        }
        return schema;
    }
}
