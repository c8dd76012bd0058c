package org.kindgirdle.server.problem;

import jakarta.annotation.PreDestroy;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
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

    private final ObjectProvider<DataSource> database;
    private final AtomicBoolean away = new AtomicBoolean();
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread one = new Thread(task, "database-watch");
        one.setDaemon(true);
        return one;
    });

    DatabaseWatch(ObjectProvider<DataSource> database) {
        this.database = database;
    }

    boolean isAway() {
        return away.get();
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
