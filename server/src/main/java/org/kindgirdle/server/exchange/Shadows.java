package org.kindgirdle.server.exchange;

import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Tables of the same names and columns that only the open connection sees, in place of the real ones: a file is looked
 * through in them, while everybody else records and reads. MariaDB's temporary tables are no matter of entities, so
 * this is SQL by hand.
 */
@Component
class Shadows {

    private static final String LOCK = "nursery_lock";

    private final JdbcTemplate jdbc;

    Shadows(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** From now on these tables are empty ones, on this connection; with an edition of the master data of their own. */
    void cast(List<String> tables) {
        Stream.concat(tables.stream(), Stream.of(LOCK)).forEach(this::cast);
        jdbc.update(
                "insert into " + LOCK + " (id, edition) values (1, ?)",
                UUID.randomUUID().toString());
    }

    /** Temporary tables take neither references to others nor an index of words. */
    private void cast(String table) {
        String made = jdbc.queryForObject("show create table " + table, (row, index) -> row.getString(2));
        List<String> lines = made.lines().toList();
        String kept = lines.subList(1, lines.size() - 1).stream()
                .map(line -> line.strip().replaceFirst(",$", ""))
                .filter(line -> !line.startsWith("FULLTEXT KEY") && !line.contains(" FOREIGN KEY "))
                .collect(Collectors.joining(", "));
        jdbc.execute("create temporary table " + table + " (" + kept + ") "
                + lines.get(lines.size() - 1).substring(1));
    }

    /** The real ones again. A connection that does not let go of its shadows is given up with them. */
    void lift(List<String> tables) {
        try {
            Stream.concat(tables.stream(), Stream.of(LOCK))
                    .forEach(table -> jdbc.execute("drop temporary table if exists " + table));
        } catch (RuntimeException stuck) {
            jdbc.execute((ConnectionCallback<Void>) connection -> {
                connection.abort(Runnable::run);
                return null;
            });
            throw stuck;
        }
    }
}
