package org.kindgirdle.server.sentences;

import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What is said when something can't be taken, from {@code refusals.properties}. */
public final class Refusals {

    private static final Sentences SENTENCES = new Sentences("/refusals.properties");

    private Refusals() {}

    /**
     * What is wrong and what to do, what may be sent, or a heading.
     *
     * @param namesAndValues the values of its places, each after its name
     * @throws IllegalStateException if there is no such sentence, or a value that it wants is missing
     */
    public static String say(String key, @Nullable Object... namesAndValues) {
        Map<String, String> values = new HashMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            values.put(String.valueOf(namesAndValues[i]), String.valueOf(namesAndValues[i + 1]));
        }
        return SENTENCES.say(key, values);
    }
}
