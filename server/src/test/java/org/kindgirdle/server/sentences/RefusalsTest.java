package org.kindgirdle.server.sentences;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class RefusalsTest {

    private static final Pattern CALL = Pattern.compile("Refusals\\.say\\(\\s*\"([\\w.]+)\"");
    private static final Pattern PLACE = Pattern.compile("\\{(\\w+)[^{}]*}");
    private static final Pattern NAME = Pattern.compile("\"(\\w+)\",");

    @Test
    void each_refusal_is_said_somewhere_and_gets_the_values_that_it_has_places_for() throws IOException {
        Properties bundle = bundle();
        Set<String> said = new HashSet<>();
        for (String source : sources()) {
            for (MatchResult call : CALL.matcher(source).results().toList()) {
                String values = rest(source, call.end());
                assertThat(found(NAME, values))
                        .as("values of %s", call.group(1))
                        .isEqualTo(found(PLACE, bundle.getProperty(call.group(1))));
                said.add(call.group(1));
            }
        }
        assertThat(said).hasSizeGreaterThan(300).isEqualTo(bundle.stringPropertyNames());
    }

    @Test
    void what_was_sent_is_said_as_it_is_and_what_was_not_is_said_too() {
        assertThat(Refusals.say("person.name", "name", "{name} $1")).contains("'{name} $1'");
        assertThat(Refusals.say("record.codes.twice", "typed", null)).startsWith("null ");
        assertThatThrownBy(() -> Refusals.say("person.name")).hasMessageContaining("{name}");
        assertThatThrownBy(() -> Refusals.say("no.such")).hasMessageContaining("no.such");
    }

    @Test
    void one_or_several_have_the_word_that_goes_with_them() {
        assertThat(Refusals.say("record.tipFirst", "first", "7KM-4X", "count", 1))
                .contains("7KM-4X stands", "Record it");
        assertThat(Refusals.say("record.tipFirst", "first", "a, b", "count", 2)).contains("a, b stand ", "Record them");
    }

    /** From a call's key to its end, without what is called within. */
    private static String rest(String source, int from) {
        StringBuilder rest = new StringBuilder();
        int depth = 1;
        for (int i = from; depth > 0; i++) {
            char sign = source.charAt(i);
            depth += sign == '(' ? 1 : sign == ')' ? -1 : 0;
            if (depth == 1) {
                rest.append(sign);
            }
        }
        return rest.toString();
    }

    private static Set<String> found(Pattern pattern, String text) {
        return pattern.matcher(text).results().map(one -> one.group(1)).collect(Collectors.toCollection(TreeSet::new));
    }

    private static Properties bundle() throws IOException {
        Properties bundle = new Properties();
        try (Reader reader = Files.newBufferedReader(Path.of("src/main/resources/refusals.properties"))) {
            bundle.load(reader);
        }
        return bundle;
    }

    private static Set<String> sources() throws IOException {
        Set<String> all = new HashSet<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path file :
                    files.filter(one -> one.toString().endsWith(".java")).toList()) {
                all.add(Files.readString(file));
            }
        }
        return all;
    }
}
