package org.kindgirdle.server.persistence;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Something small of the database that every request needs and that hardly ever changes. While people are at work it
 * is asked for anew beside their requests, so that none of them waits for it; after a pause the first one asks.
 * Whoever changes it says so by {@link #forget}; that another copy of the application has changed it may go unnoticed
 * for a minute.
 */
public final class Refreshed<T> {

    private static final Duration AGAIN = Duration.ofSeconds(5);
    private static final Duration KEPT = Duration.ofMinutes(1);
    private static final String ONE = "one";

    private final Supplier<T> ask;
    private final LoadingCache<String, T> kept;

    public Refreshed(Supplier<T> ask) {
        this.ask = ask;
        this.kept = Caffeine.newBuilder()
                .refreshAfterWrite(AGAIN)
                .expireAfterWrite(KEPT)
                .build(key -> ask.get());
    }

    /**
     * A look into a file has tables of its own: what it reads is not kept for others. Neither is what a transaction
     * reads that has changed it: nobody else sees that before it is committed.
     */
    @SuppressWarnings("unchecked")
    public T get() {
        if (Looking.isOn()) {
            return ask.get();
        }
        Own<T> own = (Own<T>) TransactionSynchronizationManager.getResource(this);
        if (own == null) {
            return kept.get(ONE);
        }
        if (own.value == null) {
            own.value = ask.get();
        }
        return own.value;
    }

    /** It was changed; in a transaction that is open, for that one at once and for all when it is over. */
    public void forget() {
        kept.invalidateAll();
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.unbindResourceIfPossible(this);
            Own<T> own = new Own<>();
            TransactionSynchronizationManager.bindResource(this, own);
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    TransactionSynchronizationManager.unbindResourceIfPossible(Refreshed.this);
                    kept.invalidateAll();
                }

                @Override
                public void suspend() {
                    TransactionSynchronizationManager.unbindResourceIfPossible(Refreshed.this);
                }

                @Override
                public void resume() {
                    TransactionSynchronizationManager.unbindResourceIfPossible(Refreshed.this);
                    TransactionSynchronizationManager.bindResource(Refreshed.this, own);
                }
            });
        }
    }

    /** What one transaction has read of it since it changed it. */
    private static final class Own<T> {

        private @Nullable T value;
    }
}
