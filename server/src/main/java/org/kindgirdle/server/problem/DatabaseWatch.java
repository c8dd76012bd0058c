package org.kindgirdle.server.problem;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Whether the database's port is open: asked twice a second, so that no request has to find out by waiting. */
@Component
class DatabaseWatch {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseWatch.class);
    private static final Pattern ADDRESS = Pattern.compile("jdbc:\\w+://([^:/,?]+)(?::(\\d+))?/.*");
    private static final int STANDARD_PORT = 3306;
    private static final int EVERY_MS = 500;
    private static final int PATIENCE_MS = 2000;

    private final String host;
    private final int port;
    private volatile boolean away;
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread one = new Thread(task, "database-watch");
        one.setDaemon(true);
        return one;
    });

    DatabaseWatch(@Value("${spring.datasource.url}") String url) {
        Matcher address = ADDRESS.matcher(url);
        // several addresses in one, or none: then every request finds out by itself
        host = address.matches() ? address.group(1) : "";
        port = host.isEmpty() || address.group(2) == null ? STANDARD_PORT : Integer.parseInt(address.group(2));
        if (!host.isEmpty()) {
            thread.scheduleWithFixedDelay(this::look, EVERY_MS, EVERY_MS, TimeUnit.MILLISECONDS);
        }
    }

    boolean isAway() {
        // on this machine the answer comes at once, and the database may have come back this moment
        return away && !(isHere() && isOpen());
    }

    private boolean isHere() {
        return host.equals("127.0.0.1") || host.equals("localhost");
    }

    private void look() {
        boolean isOpen = isOpen();
        if (isOpen == away) {
            LOG.warn(isOpen ? "The database is back" : "The database at {}:{} does not answer", host, port);
        }
        away = !isOpen;
    }

    private boolean isOpen() {
        try (Socket socket = new Socket()) {
            socket.connect(new InetSocketAddress(host, port), PATIENCE_MS);
            return true;
        } catch (IOException closed) {
            return false;
        }
    }

    @PreDestroy
    void stop() {
        thread.shutdownNow();
    }
}
