package org.kindgirdle.server.exchange;

import jakarta.persistence.EntityManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.Session;
import org.springframework.stereotype.Component;

/**
 * Tables of the same names and columns that only the open connection sees, in place of the real ones: a file is looked
 * through in them, while everybody else records and reads. MariaDB's temporary tables are no matter of entities, so
 * Hibernate's own connection is worked on.
 */
@Component
class Shadows {

    private static final String LOCK = "nursery_lock";
    private static final String COPY = "shadow_copy";

    private final EntityManager entities;

    Shadows(EntityManager entities) {
        this.entities = entities;
    }

    /** From now on these tables are empty ones, on this connection; with an edition of the master data of their own. */
    void cast(List<String> tables) {
        work(statement -> {
            for (String table : tables) {
                cast(statement, table, table);
            }
            cast(statement, LOCK, LOCK);
            statement.execute("insert into " + LOCK + " (id, edition) values (1, '" + UUID.randomUUID() + "')");
        });
    }

    /** From now on these tables are copies that are like the real ones, with an edition of the master data of their own. */
    void copy(List<String> tables) {
        work(statement -> {
            for (String table : tables) {
                copy(statement, table);
            }
            copy(statement, LOCK);
            statement.execute("update " + LOCK + " set edition = '" + UUID.randomUUID() + "'");
        });
    }

    private static void copy(Statement statement, String table) throws SQLException {
        List<String> columns = new ArrayList<>();
        try (ResultSet row = statement.executeQuery("select column_name from information_schema.columns where"
                + " table_schema = database() and table_name = '" + table + "' and extra not like '%GENERATED%'")) {
            while (row.next()) {
                columns.add("`" + row.getString(1) + "`");
            }
        }
        String all = String.join(", ", columns);
        // once it has the name of the real one, that can't be read any more
        cast(statement, table, COPY);
        statement.execute("insert into " + COPY + " (" + all + ") select " + all + " from " + table);
        statement.execute("alter table " + COPY + " rename " + table);
    }

    /** Temporary tables take neither references to others nor an index of words. */
    private static void cast(Statement statement, String table, String as) throws SQLException {
        String made;
        try (ResultSet row = statement.executeQuery("show create table " + table)) {
            row.next();
            made = row.getString(2);
        }
        List<String> lines = made.lines().toList();
        String kept = lines.subList(1, lines.size() - 1).stream()
                .map(line -> line.strip().replaceFirst(",$", ""))
                .filter(line -> !line.startsWith("FULLTEXT KEY") && !line.contains(" FOREIGN KEY "))
                .collect(Collectors.joining(", "));
        statement.execute("create temporary table " + as + " (" + kept + ") "
                + lines.get(lines.size() - 1).substring(1));
    }

    /** The real ones again. A connection that does not let go of its shadows is given up with them. */
    void lift(List<String> tables) {
        work(statement -> {
            try {
                for (String table : tables) {
                    statement.execute("drop temporary table if exists " + table);
                }
                statement.execute("drop temporary table if exists " + LOCK);
                // one that was being made when something failed
                statement.execute("drop temporary table if exists " + COPY);
            } catch (SQLException stuck) {
                statement.getConnection().abort(Runnable::run);
                throw stuck;
            }
        });
    }

    /** Something done on the open connection. */
    private interface Deed {
        void on(Statement statement) throws SQLException;
    }

    private void work(Deed deed) {
        entities.unwrap(Session.class).doWork(connection -> {
            try (Statement statement = connection.createStatement()) {
                deed.on(statement);
            }
        });
    }
}
