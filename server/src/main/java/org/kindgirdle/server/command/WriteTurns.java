package org.kindgirdle.server.command;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * What writes may have to wait for another that writes, and holds a connection to the database while it does. So many
 * at a time do, in the order in which they came, and the other connections are left to those that read: readers never
 * wait for writers.
 */
@Component
class WriteTurns {

    /** Longer than a lock is waited for: whoever comes to the turn gets to know what holds it up. */
    private static final Duration PATIENCE = Duration.ofSeconds(30);

    private static final int AGAIN_AFTER_SECONDS = 5;

    private final Semaphore turns;

    WriteTurns(@Value("${spring.datasource.hikari.maximum-pool-size:10}") int connections) {
        this.turns = new Semaphore(Math.max(1, connections / 2), true);
    }

    /** @throws ProblemException 503 if it did not come to its turn */
    <T> T inTurn(Supplier<T> write) {
        boolean mine = false;
        try {
            mine = turns.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
            if (!mine) {
                throw ProblemException.busy(Refusals.say("command.turn"), AGAIN_AFTER_SECONDS);
            }
            return write.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        } finally {
            if (mine) {
                turns.release();
            }
        }
    }
}
