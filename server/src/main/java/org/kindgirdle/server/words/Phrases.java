package org.kindgirdle.server.words;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Objects;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/** The sentences by key, from {@code words.properties}; another language is another file. */
@Component
public class Phrases {

    /** A place with the word for one and that for more. */
    private static final int FORMS = 3;

    /** What would be rounded to none, or to all. */
    private static final double NEARLY = .005;

    private static final Pattern PLACE = Pattern.compile("\\{([^{}]*)}");

    private final Properties phrases = new Properties();

    public Phrases() {
        try (InputStream in = Objects.requireNonNull(Phrases.class.getResourceAsStream("/words.properties"));
                Reader reader = new InputStreamReader(in, StandardCharsets.UTF_8)) {
            phrases.load(reader);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws IllegalStateException if there is no such sentence, or a value that it wants is missing */
    public String say(String key, Map<String, String> values) {
        String text = phrases.getProperty(key);
        if (text == null) {
            throw new IllegalStateException("no words for " + key);
        }
        // in one pass: what somebody typed is never taken for a place to be filled in
        return PLACE.matcher(text).replaceAll(place -> {
            String[] parts = place.group(1).split("\\|");
            String value = values.get(parts[0]);
            if (value == null) {
                throw new IllegalStateException("a value is missing in the words of " + key + ": " + place.group());
            }
            // {count|node|nodes} is the word for so many
            String said = parts.length == FORMS ? (value.equals("1") ? parts[1] : parts[2]) : value;
            return Matcher.quoteReplacement(said);
        });
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
        return phrases.containsKey(key);
    }

    /** The keys of all sentences. */
    Set<String> keys() {
        return phrases.stringPropertyNames();
    }

    /** So many in a hundred; what is nearly none or nearly all is not said to be none or all. */
    public String inHundred(double chance) {
        if (chance > 0 && chance < NEARLY) {
            return say("hundred.fewest");
        }
        return chance < 1 && chance >= 1 - NEARLY ? say("hundred.most") : String.valueOf(Math.round(chance * 100));
    }
}
