package org.kindgirdle.server.problem;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Whether the database is known to be away. The request that finds out has waited for it; from then on one thread asks
 * again and again, and all others are answered at once. Nobody asks while all is well: a server takes connections that
 * say nothing for an attack.
 */
@Component
class DatabaseWatch {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseWatch.class);
    private static final int AGAIN_MS = 200;
    private static final int PATIENCE_MS = 300;
    private static final int STANDARD_PORT = 3306;
    private static final Pattern ADDRESS = Pattern.compile("jdbc:\\w+://([^:/,?]+)(?::(\\d+))?/.*");

    private final ObjectProvider<DataSource> database;
    private final String url;
    private final AtomicBoolean away = new AtomicBoolean();
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread one = new Thread(task, "database-watch");
        one.setDaemon(true);
        return one;
    });

    DatabaseWatch(ObjectProvider<DataSource> database, @Value("${spring.datasource.url}") String url) {
        this.database = database;
        this.url = url;
    }

    /** Asked of its port, where it was away a moment ago: it may have come back since. */
    boolean isAway() {
        return away.get() && !isOpen();
    }

    private boolean isOpen() {
        Matcher address = ADDRESS.matcher(url);
        if (!address.matches()) {
            // several addresses in one, or none: whoever asks finds out
            return true;
        }
        int port = address.group(2) == null ? STANDARD_PORT : Integer.parseInt(address.group(2));
        try (Socket socket = new Socket()) {
            socket.connect(new InetSocketAddress(address.group(1), port), PATIENCE_MS);
            return true;
        } catch (IOException closed) {
            return false;
        }
    }

    /** A request has found it away. */
    void noticed() {
        if (away.compareAndSet(false, true)) {
            LOG.warn("The database does not answer");
            thread.execute(this::look);
        }
    }

    private void look() {
        try (Connection connection = database.getObject().getConnection()) {
            if (connection.isValid(1)) {
                away.set(false);
                LOG.warn("The database is back");
                return;
            }
        } catch (SQLException stillAway) {
            // asked again below
        }
        if (!thread.isShutdown()) {
            thread.schedule(this::look, AGAIN_MS, TimeUnit.MILLISECONDS);
        }
    }

    @PreDestroy
    void stop() {
        thread.shutdownNow();
    }
}
