package org.kindgirdle.server.harness;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Sentences by their key and the values that matter: a test holds when somebody words them better. */
public final class Said {

    private static final Properties SENTENCES = read();
    private static final Pattern PLACE = Pattern.compile("\\{([^{}|]*)(\\|[^{}]*)?}");

    private Said() {}

    /**
     * Finds a sentence in what is said.
     *
     * @param namesAndValues of its places, by turns; those that are not named may hold anything
     */
    public static Pattern by(String key, Object... namesAndValues) {
        String text = SENTENCES.getProperty(key);
        if (text == null) {
            throw new IllegalArgumentException("no sentence has the key " + key);
        }
        Map<String, String> values = new HashMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            values.put(namesAndValues[i].toString(), namesAndValues[i + 1].toString());
        }
        StringBuilder pattern = new StringBuilder();
        Matcher place = PLACE.matcher(text);
        int end = 0;
        while (place.find()) {
            pattern.append(Pattern.quote(text.substring(end, place.start())));
            String value = place.group(2) == null ? values.remove(place.group(1)) : null;
            pattern.append(value == null ? ".*?" : Pattern.quote(value));
            end = place.end();
        }
        pattern.append(Pattern.quote(text.substring(end)));
        if (!values.isEmpty()) {
            throw new IllegalArgumentException(key + " has no places " + values.keySet());
        }
        return Pattern.compile(pattern.toString(), Pattern.DOTALL);
    }

    /** As {@link #by}, for one of several texts. */
    public static Predicate<String> as(String key, Object... namesAndValues) {
        return by(key, namesAndValues).asPredicate();
    }

    private static Properties read() {
        Properties sentences = new Properties();
        for (String file : List.of("words", "refusals")) {
            try (Reader reader = Files.newBufferedReader(
                    Path.of("src/main/resources", file + ".properties"), StandardCharsets.UTF_8)) {
                sentences.load(reader);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return sentences;
    }
}
