package org.kindgirdle.server.exchange;

import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.sentences.Refusals;

/** Another table's rows by the names that people know them by. */
final class Ref {

    private final String what;
    private final Supplier<Map<Long, String>> names;

    /**
     * @param what such a row is, as "mother"
     * @param names of all of them by id, as they are at the moment
     */
    Ref(String what, Supplier<Map<Long, String>> names) {
        this.what = what;
        this.names = names;
    }

    String what() {
        return what;
    }

    /** They, as they are now. */
    Known now() {
        Map<Long, String> byId = names.get();
        return new Known(
                what,
                byId,
                byId.entrySet().stream()
                        .collect(Collectors.toMap(Map.Entry::getValue, Map.Entry::getKey, (first, other) -> first)));
    }

    /** Names at one moment. */
    record Known(String what, Map<Long, String> byId, Map<String, Long> byName) {

        @Nullable
        String name(long id) {
            return byId.get(id);
        }

        long id(String column, String name) {
            Long id = byName.get(name.strip());
            if (id == null) {
                throw new RowException(column, Refusals.say("import.ref", "what", what));
            }
            return id;
        }
    }
}
