package org.kindgirdle.server.backup;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.io.PrintStream;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Set;
import org.kindgirdle.server.sentences.Refusals;
import org.slf4j.LoggerFactory;

/**
 * {@code backup FILE}, {@code verify FILE} and {@code restore FILE} on the console, without starting the application;
 * {@code check} and {@code restore-as-it-was} are for an update and its way back.
 */
public final class BackupCommand {

    public static final Set<String> NAMES = Set.of("backup", "verify", "restore", "restore-as-it-was", "check");

    private final Map<String, String> settings;
    private final Path data;
    private final Clock system;
    private final PrintStream out;

    /**
     * @param settings of the environment: KG_DB_URL, KG_DB_USER, KG_DB_PASSWORD, KG_PHOTOS
     * @param data folder of the nursery
     */
    public BackupCommand(Map<String, String> settings, Path data, Clock system, PrintStream out) {
        this.settings = settings;
        this.data = data;
        this.system = system;
        this.out = out;
    }

    /** @return what the process is to end with: 0 if all is well */
    public int run(String name, Path file) {
        if (LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME) instanceof Logger everything) {
            // the console is for the one line that somebody waits for
            everything.setLevel(Level.OFF);
        }
        try {
            BackupCheck.Found found = switch (name) {
                case "backup" -> new BackupWriter(database(), photos()).write(file, version(), system.instant());
                case "verify" -> BackupCheck.of(file);
                case "check" -> new BackupRestore(database(), photos()).check(file);
                case "restore-as-it-was" -> new BackupRestore(database(), photos()).restore(file, false);
                default -> restore(file);
            };
            return say(name, file, found);
        } catch (BackupException refused) {
            out.println("kg: " + refused.getMessage());
            out.println("    " + refused.whatToDo());
            return 1;
        }
    }

    private int say(String name, Path file, BackupCheck.Found found) {
        if (!found.isWhole()) {
            out.println("kg: " + file + " is NOT whole:");
            found.problems().stream().limit(20).forEach(problem -> out.println("    " + problem));
            out.println(
                    "    Keep it, mend what is missing (is KG_PHOTOS the folder with the pictures?), and back up again.");
            return 1;
        }
        String done = switch (name) {
            case "backup" -> "Written and read again";
            case "verify" -> "Whole";
            case "check" -> "Everything is there that was in";
            default -> "Restored from";
        };
        out.println(done + ": " + file + " (" + found.rows().getOrDefault("layer", 0L) + " layers, "
                + found.rows().getOrDefault("layer_event", 0L) + " records, " + found.photos() + " photos, database "
                + found.schema() + ")");
        return 0;
    }

    private BackupCheck.Found restore(Path file) {
        BackupCheck.Found found = new BackupRestore(database(), photos()).restore(file, true);
        try (Connection connection = database().connect();
                PreparedStatement event = connection.prepareStatement(
                        "insert into security_event (at, kind, person_name, address, detail)"
                                + " values (?, 'RESTORED', '', 'console', ?)")) {
            event.setObject(1, LocalDateTime.ofInstant(system.instant(), ZoneOffset.UTC));
            event.setString(2, String.valueOf(file.getFileName()));
            event.executeUpdate();
        } catch (SQLException e) {
            throw new BackupException(
                    Refusals.say("backup.notNoted", "message", e.getMessage()), Refusals.say("backup.nothingChanged"));
        }
        return found;
    }

    private Database database() {
        return new Database(
                settings.getOrDefault("KG_DB_URL", ""),
                settings.getOrDefault("KG_DB_USER", "kindgirdle"),
                settings.getOrDefault("KG_DB_PASSWORD", ""));
    }

    private Path photos() {
        String own = settings.getOrDefault("KG_PHOTOS", "");
        return own.isEmpty() ? data.resolve("photos") : Path.of(own);
    }

    static String version() {
        String version = BackupCommand.class.getPackage().getImplementationVersion();
        return version == null ? "unpacked" : version;
    }
}
