package org.kindgirdle.server.security;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.problem.Violation;
import org.kindgirdle.server.sentences.Refusals;
import org.springframework.stereotype.Component;

/**
 * What a new password must be: long enough, and none that many have. No rules about signs: they make passwords worse
 * (NIST SP 800-63B, 5.1.1.2).
 */
@Component
class PasswordRule {

    static final int LEAST = 10;
    static final int MAX = 64;

    /** What the hash takes in; the rest would not count. */
    private static final int MAX_BYTES = 72;

    private static final int DIGITS = 12;

    private final Set<String> common = read();

    private static Set<String> read() {
        try (InputStream in = Objects.requireNonNull(PasswordRule.class.getResourceAsStream("/common-passwords.txt"));
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            return lines.lines().filter(line -> !line.startsWith("#")).collect(Collectors.toUnmodifiableSet());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws ProblemException if it may not be taken; the password itself is never sent back */
    void check(String field, String password, String name) {
        int signs = password.codePointCount(0, password.length());
        if (signs < LEAST || signs > MAX || password.getBytes(StandardCharsets.UTF_8).length > MAX_BYTES) {
            throw refused(
                    field,
                    Refusals.say("password.length.allowed", "least", LEAST, "most", MAX, "bytes", MAX_BYTES),
                    Refusals.say("password.length", "least", LEAST, "most", MAX));
        }
        String plain = password.toLowerCase(Locale.ROOT);
        String stem = plain.replaceAll("^[\\d\\W_]+|[\\d\\W_]+$", "");
        if (common.contains(digest(plain)) || common.contains(digest(stem))) {
            throw refused(field, Refusals.say("password.common.allowed"), Refusals.say("password.common"));
        }
        if (plain.contains(name.toLowerCase(Locale.ROOT)) && plain.length() < name.length() + LEAST - 2
                || plain.codePoints().distinct().count() < 5) {
            throw refused(field, Refusals.say("password.guessed.allowed"), Refusals.say("password.guessed"));
        }
    }

    private static String digest(String text) {
        return Secrets.hash(text).substring(0, DIGITS);
    }

    private static ProblemException refused(String field, String allowed, String message) {
        return ProblemException.invalid(List.of(new Violation(field, null, allowed, message)));
    }
}
