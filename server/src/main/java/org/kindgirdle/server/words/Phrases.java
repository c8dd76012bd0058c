package org.kindgirdle.server.words;

import java.util.Map;
import java.util.Set;
import org.kindgirdle.server.sentences.Sentences;
import org.springframework.stereotype.Component;

/** The sentences by key, from {@code words.properties}; another language is another file. */
@Component
public class Phrases {

    /** What would be rounded to none, or to all. */
    private static final double NEARLY = .005;

    private final Sentences sentences = new Sentences("/words.properties");

    /** @throws IllegalStateException if there is no such sentence, or a value that it wants is missing */
    public String say(String key, Map<String, String> values) {
        return sentences.say(key, values);
    }

    public String say(String key) {
        return say(key, Map.of());
    }

    /** The key of what is said for one of several kinds, where it is said otherwise for that one. */
    public String keyFor(String key, Enum<?> kind) {
        String own = key + "." + kind;
        return has(own) ? own : key;
    }

    boolean has(String key) {
        return sentences.has(key);
    }

    /** The keys of all sentences. */
    Set<String> keys() {
        return sentences.keys();
    }

    /** So many in a hundred; what is nearly none or nearly all is not said to be none or all. */
    public String inHundred(double chance) {
        if (chance > 0 && chance < NEARLY) {
            return say("hundred.fewest");
        }
        return chance < 1 && chance >= 1 - NEARLY ? say("hundred.most") : String.valueOf(Math.round(chance * 100));
    }
}
