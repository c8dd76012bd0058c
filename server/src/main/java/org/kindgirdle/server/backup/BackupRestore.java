package org.kindgirdle.server.backup;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.sentences.Refusals;

/**
 * Brings a backup back into an empty database: its tables come from the migrations, up to the one that the backup was
 * made at, its rows through the driver, and then the rest of the migrations. The nursery's old database is not touched.
 */
final class BackupRestore {

    private static final List<String> ONLY_ADDED_TO =
            List.of("layer", "layer_event", "layer_photo", "mother", "mother_event", "person", "recipe_version");

    private static final int BATCH = 500;
    private static final String HISTORY = "flyway_schema_history";
    private static final Pattern PICTURE = Pattern.compile("photos/[0-9a-f]{2}/[0-9a-f]{64}(-small)?\\.jpg");

    private final Database into;
    private final Path photos;

    BackupRestore(Database into, Path photos) {
        this.into = into;
        this.photos = photos;
    }

    /**
     * @param toNewest whether the database then goes on to the newest schema, or stays at the one of the backup
     * @throws BackupException if the file is not whole, or the database not empty, or what arrives not what was sent
     */
    BackupCheck.Found restore(Path file, boolean toNewest) {
        BackupCheck.Found found = BackupCheck.of(file);
        if (!found.isWhole()) {
            throw new BackupException(
                    Refusals.say("backup.notWhole", "problems", String.join("; ", found.problems())),
                    DumpReader.DAMAGED);
        }
        try (Connection connection = into.connect()) {
            requireEmpty(connection);
            migrate(found.schema());
            fill(connection, file);
            found.rows().forEach((table, rows) -> same(table, rows, rows(connection, table)));
            if (toNewest) {
                migrate(null);
            }
            pictures(file);
            return found;
        } catch (SQLException | IOException | FlywayException | FillingException e) {
            throw new BackupException(
                    Refusals.say("backup.notTakenIn", "message", e.getMessage()),
                    Refusals.say("backup.nothingChanged"));
        }
    }

    private void requireEmpty(Connection connection) throws SQLException {
        try (ResultSet any = connection.createStatement().executeQuery("show tables")) {
            if (any.next()) {
                throw new BackupException(
                        Refusals.say("backup.notEmpty", "name", into.name()), Refusals.say("backup.makeEmpty"));
            }
        }
    }

    private void migrate(@Nullable Integer target) {
        var flyway = Flyway.configure()
                .dataSource(into.url(), into.user(), into.password())
                .locations("classpath:db/migration");
        if (target != null) {
            Flyway newest = flyway.load();
            int known = Arrays.stream(newest.info().all())
                    .mapToInt(one -> Integer.parseInt(one.getVersion().getVersion()))
                    .max()
                    .orElse(0);
            if (target > known) {
                throw new BackupException(
                        Refusals.say("backup.newer", "target", target, "known", known),
                        Refusals.say("backup.updateFirst"));
            }
            flyway = flyway.target(Integer.toString(target));
        }
        flyway.load().migrate();
    }

    private static void fill(Connection connection, Path file) throws SQLException, IOException {
        connection.setAutoCommit(false);
        try (Statement statement = connection.createStatement()) {
            statement.execute("set foreign_key_checks = 0, unique_checks = 0");
            // rows that the migrations brought give way to the backup's own
            for (String table : tables(connection)) {
                if (!table.equals(HISTORY)) {
                    statement.execute("truncate table `" + table + "`");
                }
            }
        }
        try (Filling filling = new Filling(connection)) {
            BackupCheck.entries(file, (entry, in) -> {
                if (entry.equals(BackupCheck.SQL)) {
                    DumpReader.read(new InputStreamReader(in, StandardCharsets.UTF_8), filling);
                }
            });
            filling.flush();
        }
        connection.commit();
        try (Statement statement = connection.createStatement()) {
            statement.execute("set foreign_key_checks = 1, unique_checks = 1");
        }
        connection.setAutoCommit(true);
    }

    private static List<String> tables(Connection connection) throws SQLException {
        List<String> tables = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("show full tables where table_type = 'BASE TABLE'")) {
            while (rows.next()) {
                tables.add(rows.getString(1));
            }
        }
        return tables;
    }

    /** Of a table as it stands in a database; -1 where there is none of that name. */
    private static long rows(Connection connection, String table) {
        try {
            if (!tables(connection).contains(table)) {
                return -1;
            }
            try (Statement statement = connection.createStatement();
                    ResultSet count = statement.executeQuery("select count(*) from `" + table + "`")) {
                count.next();
                return count.getLong(1);
            }
        } catch (SQLException e) {
            throw new FillingException(e);
        }
    }

    private static void same(String table, long sent, long arrived) {
        if (arrived >= 0 && arrived != sent) {
            throw new BackupException(
                    Refusals.say("backup.rowsArrived", "sent", sent, "table", table, "arrived", arrived),
                    Refusals.say("backup.nothingChanged"));
        }
    }

    /** Whether everything that is only ever added to is there that was there when a backup was made. */
    BackupCheck.Found check(Path file) {
        BackupCheck.Found found = BackupCheck.of(file);
        try (Connection connection = into.connect()) {
            for (String table : ONLY_ADDED_TO) {
                long now = rows(connection, table);
                long then = found.rows().getOrDefault(table, 0L);
                if (now < then) {
                    throw new BackupException(
                            Refusals.say("backup.rowsThere", "then", then, "table", table, "now", now),
                            Refusals.say("backup.hasThemAll"));
                }
            }
            return found;
        } catch (SQLException | FillingException e) {
            throw new BackupException(
                    Refusals.say("backup.unreadable", "message", e.getMessage()), Refusals.say("backup.isRunning"));
        }
    }

    /** Pictures are named by what is in them: those that are there already are the same. */
    private void pictures(Path file) throws IOException {
        BackupCheck.entries(file, (entry, in) -> {
            if (PICTURE.matcher(entry).matches()) {
                Path picture = photos.resolve(entry.substring("photos/".length()));
                if (!Files.isRegularFile(picture)) {
                    keep(picture, in);
                }
            }
        });
    }

    private static void keep(Path picture, InputStream in) throws IOException {
        Files.createDirectories(picture.getParent());
        Path part = Files.createTempFile(picture.getParent(), "photo", ".part");
        Files.copy(in, part, StandardCopyOption.REPLACE_EXISTING);
        Files.move(part, picture, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }

    /** Carries what the database refuses through the reader. */
    private static final class FillingException extends RuntimeException {

        FillingException(SQLException cause) {
            super(cause.getMessage(), cause);
        }
    }

    /** Writes rows some hundred at a time. */
    private static final class Filling implements DumpReader.Listener, AutoCloseable {

        private final Connection connection;
        private @Nullable PreparedStatement statement;
        private final Set<Integer> reckoned = new HashSet<>();
        private String table = "";
        private int waiting;

        Filling(Connection connection) {
            this.connection = connection;
        }

        @Override
        public void row(String into, List<@Nullable Object> values) {
            if (into.equals(HISTORY)) {
                // written by the migrations themselves
                return;
            }
            try {
                PreparedStatement insert = statementFor(into, values.size());
                int place = 1;
                for (int i = 0; i < values.size(); i++) {
                    if (!reckoned.contains(i)) {
                        insert.setObject(place++, values.get(i));
                    }
                }
                insert.addBatch();
                waiting++;
                if (waiting >= BATCH) {
                    flush();
                }
            } catch (SQLException e) {
                throw new FillingException(e);
            }
        }

        private PreparedStatement statementFor(String into, int values) throws SQLException {
            PreparedStatement open = statement;
            if (open != null && into.equals(table)) {
                return open;
            }
            flush();
            close();
            List<String> columns = columns(into);
            if (columns.size() + reckoned.size() != values) {
                throw new BackupException(
                        Refusals.say(
                                "backup.rowOfOtherWidth",
                                "into",
                                into,
                                "values",
                                values,
                                "columns",
                                columns.size() + reckoned.size()),
                        DumpReader.DAMAGED);
            }
            open = connection.prepareStatement("insert into `" + into + "` (" + String.join(", ", columns)
                    + ") values (" + String.join(", ", Collections.nCopies(columns.size(), "?")) + ")");
            statement = open;
            table = into;
            return open;
        }

        /** Of a table, but those that the database works out by itself: their places are kept in {@code reckoned}. */
        private List<String> columns(String into) throws SQLException {
            List<String> columns = new ArrayList<>();
            reckoned.clear();
            try (PreparedStatement ask =
                    connection.prepareStatement("select column_name, is_generated from information_schema.columns"
                            + " where table_schema = database() and table_name = ? order by ordinal_position")) {
                ask.setString(1, into);
                try (ResultSet rows = ask.executeQuery()) {
                    for (int i = 0; rows.next(); i++) {
                        if (rows.getString(2).equals("ALWAYS")) {
                            reckoned.add(i);
                        } else {
                            columns.add("`" + rows.getString(1) + "`");
                        }
                    }
                }
            }
            return columns;
        }

        @Override
        public void sequence(String name, long next, boolean isUsed) {
            try (Statement set = connection.createStatement()) {
                set.execute("select setval(`" + name + "`, " + next + ", " + (isUsed ? 1 : 0) + ")");
            } catch (SQLException e) {
                throw new FillingException(e);
            }
        }

        void flush() {
            try {
                PreparedStatement open = statement;
                if (open != null && waiting > 0) {
                    open.executeBatch();
                    waiting = 0;
                }
            } catch (SQLException e) {
                throw new FillingException(e);
            }
        }

        @Override
        public void close() {
            try {
                PreparedStatement open = statement;
                if (open != null) {
                    open.close();
                    statement = null;
                }
            } catch (SQLException e) {
                throw new UncheckedIOException(new IOException(e));
            }
        }
    }
}
