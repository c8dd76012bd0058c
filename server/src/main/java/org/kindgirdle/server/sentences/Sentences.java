package org.kindgirdle.server.sentences;

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

/** The sentences of one file by key, with places for values. */
public final class Sentences {

    /** A place with the word for one and that for more. */
    private static final int FORMS = 3;

    private static final Pattern PLACE = Pattern.compile("\\{([^{}]*)}");

    private final Properties sentences = new Properties();

    /** @param file its name, in the root of what is shipped */
    public Sentences(String file) {
        try (InputStream in = Objects.requireNonNull(Sentences.class.getResourceAsStream(file), file);
                Reader reader = new InputStreamReader(in, StandardCharsets.UTF_8)) {
            sentences.load(reader);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws IllegalStateException if there is no such sentence, or a value that it wants is missing */
    public String say(String key, Map<String, String> values) {
        String text = sentences.getProperty(key);
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

    public boolean has(String key) {
        return sentences.containsKey(key);
    }

    /** The keys of all sentences. */
    public Set<String> keys() {
        return sentences.stringPropertyNames();
    }
}
