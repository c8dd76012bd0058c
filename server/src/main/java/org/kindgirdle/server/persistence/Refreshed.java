package org.kindgirdle.server.persistence;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.function.Supplier;

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

    /** A look into a file has tables of its own: what it reads is not kept for others. */
    public T get() {
        return Looking.isOn() ? ask.get() : kept.get(ONE);
    }

    public void forget() {
        kept.invalidateAll();
    }
}
