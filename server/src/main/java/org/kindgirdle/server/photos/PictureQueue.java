package org.kindgirdle.server.photos;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.stereotype.Component;

/** Decoding a picture takes memory: few are at it at once, some wait for their turn, and the rest come again later. */
@Component
class PictureQueue {

    /** What a small machine can do beside everything else. */
    private static final int AT_ONCE = 2;

    /** Whoever waits holds a thread that records may want. */
    private static final int MAX_WAITING = 10;

    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Semaphore turns = new Semaphore(AT_ONCE, true);
    private final Semaphore places = new Semaphore(AT_ONCE + MAX_WAITING);
    private final Duration patience;

    PictureQueue() {
        this(PATIENCE);
    }

    PictureQueue(Duration patience) {
        this.patience = patience;
    }

    /** @throws ProblemException 503 if its turn does not come in time */
    <T> T inTurn(Supplier<T> work) {
        if (!places.tryAcquire()) {
            throw busy();
        }
        try {
            if (!turns.tryAcquire(patience.toMillis(), TimeUnit.MILLISECONDS)) {
                throw busy();
            }
            try {
                return work.get();
            } finally {
                turns.release();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw busy();
        } finally {
            places.release();
        }
    }

    private ProblemException busy() {
        return ProblemException.busy(Refusals.say("photo.turn"), (int) Math.max(1, patience.toSeconds() / 2));
    }
}
