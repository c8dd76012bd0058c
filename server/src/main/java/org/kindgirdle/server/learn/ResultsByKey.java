package org.kindgirdle.server.learn;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** What was worked out from records: asked again of the same records, it is not worked out again. */
final class ResultsByKey<T> {

    private static final int KEPT = 64;

    private final Map<String, T> kept = new LinkedHashMap<>(KEPT, .75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, T> eldest) {
            return size() > KEPT;
        }
    };

    /** @param key which records it is worked out from, and what is asked of them */
    T once(String key, Supplier<T> work) {
        T known = find(key);
        if (known != null) {
            return known;
        }
        T fresh = work.get();
        synchronized (kept) {
            kept.put(key, fresh);
        }
        return fresh;
    }

    private @Nullable T find(String key) {
        synchronized (kept) {
            return kept.get(key);
        }
    }
}
