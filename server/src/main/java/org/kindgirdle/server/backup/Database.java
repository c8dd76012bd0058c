package org.kindgirdle.server.backup;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.kindgirdle.server.sentences.Refusals;

/**
 * Where the nursery's database is.
 *
 * @param url for the driver, as {@code jdbc:mariadb://127.0.0.1:33380/kindgirdle}
 */
public record Database(String url, String user, String password) {

    private static final Pattern PARTS = Pattern.compile("jdbc:(?:mariadb|mysql)://([^:/?]+)(?::(\\d+))?/([\\w-]+).*");

    private static final String STANDARD_PORT = "3306";

    Connection connect() throws SQLException {
        return DriverManager.getConnection(url, user, password);
    }

    String host() {
        return part(1);
    }

    String port() {
        String port = part(2);
        return port.isEmpty() ? STANDARD_PORT : port;
    }

    String name() {
        return part(3);
    }

    private String part(int group) {
        Matcher parts = PARTS.matcher(url);
        if (!parts.matches()) {
            throw new BackupException(
                    Refusals.say("backup.address", "url", url), Refusals.say("backup.address.allowed"));
        }
        return parts.group(group) == null ? "" : parts.group(group);
    }
}
