package org.kindgirdle.server.security;

import jakarta.annotation.PostConstruct;
import jakarta.annotation.PreDestroy;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionOperations;

/**
 * When sessions were last used. A read only notes it; it is written once a minute for all of them, and when the
 * application stops. What a crash forgets is a minute of the thirty days that a session lives without being used.
 */
@Component
class SessionUse {

    private static final Logger LOG = LoggerFactory.getLogger(SessionUse.class);
    private static final int EVERY_MINUTES = 1;

    private final Map<String, Instant> noted = new ConcurrentHashMap<>();
    private final PersonRepository people;
    private final TransactionOperations transactions;
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread one = new Thread(task, "session-use");
        one.setDaemon(true);
        return one;
    });

    SessionUse(PersonRepository people, TransactionOperations transactions) {
        this.people = people;
        this.transactions = transactions;
    }

    void note(String session, Instant moment) {
        noted.put(session, moment);
    }

    /** @param written when it was used last as far as the database knows */
    Instant last(String session, Instant written) {
        Instant since = noted.get(session);
        return since == null || since.isBefore(written) ? written : since;
    }

    @PostConstruct
    void begin() {
        thread.scheduleWithFixedDelay(this::write, EVERY_MINUTES, EVERY_MINUTES, TimeUnit.MINUTES);
    }

    @PreDestroy
    void end() {
        thread.shutdown();
        write();
    }

    /** What could not be written stays noted for the next time. */
    void write() {
        Map<String, Instant> now = Map.copyOf(noted);
        if (now.isEmpty()) {
            return;
        }
        try {
            transactions.executeWithoutResult(
                    begun -> now.forEach((session, moment) -> people.used(session, moment.toEpochMilli())));
            now.forEach(noted::remove);
        } catch (DataAccessException | TransactionException away) {
            LOG.warn("When people were last here could not be written: {}", away.getMessage());
        }
    }
}
