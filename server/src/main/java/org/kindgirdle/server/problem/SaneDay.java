package org.kindgirdle.server.problem;

import java.time.LocalDate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.sentences.Refusals;

/** Days within the years that a nursery lives in: others are slips, and no sum is made with them. */
public final class SaneDay {

    public static final LocalDate FIRST = LocalDate.of(1900, 1, 1);
    public static final LocalDate LAST = LocalDate.of(2199, 12, 31);

    private static final Pattern DAY = Pattern.compile("([+-]?\\d{4,12})-\\d{2}-\\d{2}(T.*)?");

    private SaneDay() {}

    /** Null if the text is no day at all, or one within those years. */
    static @Nullable Violation wrong(String field, String text) {
        Matcher day = DAY.matcher(text);
        if (!day.matches()) {
            return null;
        }
        long year = Long.parseLong(day.group(1));
        return year >= FIRST.getYear() && year <= LAST.getYear()
                ? null
                : new Violation(
                        field,
                        text.substring(0, Math.min(40, text.length())),
                        Refusals.say("between.allowed", "first", FIRST, "last", LAST),
                        Refusals.say("body.day", "first", FIRST, "last", LAST));
    }
}
