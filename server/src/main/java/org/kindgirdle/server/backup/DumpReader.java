package org.kindgirdle.server.backup;

import java.io.IOException;
import java.io.PushbackReader;
import java.io.Reader;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.sentences.Refusals;

/**
 * Reads the SQL of a dump as data. It knows the statements that a dump has and refuses every other: nothing in the file
 * is ever run, neither by the database nor by a client that takes commands between statements. Tables are not made from
 * what it says either; they come from the migrations.
 */
final class DumpReader {

    /** Told what is in the dump, in its order. */
    interface Listener {

        /** @param values text, {@code BigDecimal}, {@code byte[]} or null, in the order of the table's columns */
        void row(String table, List<@Nullable Object> values);

        void sequence(String name, long next, boolean isUsed);
    }

    private static final Pattern SEQUENCE = Pattern.compile("DO SETVAL\\(`(\\w+)`, (\\d{1,18}), ([01])\\)");

    /** Statements that only prepare what the migrations have made already. */
    private static final Pattern KNOWN = Pattern.compile(
            "(DROP (TABLE|SEQUENCE) IF EXISTS `\\w+`|CREATE (TABLE|SEQUENCE) `\\w+` .*|LOCK TABLES `\\w+` WRITE|UNLOCK TABLES|commit|set autocommit=0)",
            Pattern.DOTALL);

    /** Longest statement that is no insertion: the largest table's own. */
    private static final int MAX_SIGNS = 100_000;

    private static final String COMPLETE = "Dump completed";

    private final PushbackReader in;
    private final Listener listener;
    private long line = 1;
    private boolean complete;

    private DumpReader(Reader in, Listener listener) {
        this.in = new PushbackReader(in, 4);
        this.listener = listener;
    }

    /**
     * Reads to the end.
     *
     * @throws BackupException if anything stands in it that no dump has, or if it ends before its own end
     */
    static void read(Reader in, Listener listener) throws IOException {
        DumpReader reader = new DumpReader(in, listener);
        while (reader.statement()) {
            // one after another
        }
        if (!reader.complete) {
            throw new BackupException(Refusals.say("backup.sqlCutOff"), DAMAGED);
        }
    }

    static final String DAMAGED = Refusals.say("backup.damaged");

    private boolean statement() throws IOException {
        if (!skipSpace()) {
            return false;
        }
        String word = word();
        if (word.equalsIgnoreCase("DELIMITER")) {
            // belongs to the triggers, which stand in comments
            restOfLine();
            return true;
        }
        if (word.equals("INSERT")) {
            insertion();
            return true;
        }
        String text = word + restOfStatement();
        if (text.isBlank()) {
            return true;
        }
        Matcher sequence = SEQUENCE.matcher(text);
        if (sequence.matches()) {
            listener.sequence(
                    sequence.group(1),
                    Long.parseLong(sequence.group(2)),
                    sequence.group(3).equals("1"));
        } else if (!KNOWN.matcher(text).matches()) {
            throw foreign(text);
        }
        return true;
    }

    private void insertion() throws IOException {
        skipSpace();
        if (!word().equals("INTO")) {
            throw foreign("INSERT");
        }
        skipSpace();
        String table = name();
        skipSpace();
        if (!word().equals("VALUES")) {
            throw foreign("INSERT INTO " + table);
        }
        while (true) {
            skipSpace();
            expect('(');
            listener.row(table, values());
            skipSpace();
            int next = take();
            if (next == ';') {
                return;
            }
            if (next != ',') {
                throw foreign("INSERT INTO " + table);
            }
        }
    }

    private List<@Nullable Object> values() throws IOException {
        List<@Nullable Object> values = new ArrayList<>();
        while (true) {
            skipSpace();
            values.add(value());
            skipSpace();
            int next = take();
            if (next == ')') {
                return values;
            }
            if (next != ',') {
                throw foreign("a value");
            }
        }
    }

    private @Nullable Object value() throws IOException {
        int first = take();
        if (first == '\'') {
            return text();
        }
        StringBuilder plain = new StringBuilder();
        int one = first;
        while (one >= 0 && one != ',' && one != ')') {
            plain.append((char) one);
            if (!Character.isLetterOrDigit(one) && "+-.".indexOf(one) < 0) {
                throw foreign(plain.toString());
            }
            one = take();
        }
        putBack(one);
        String word = plain.toString();
        if (word.equals("NULL")) {
            return null;
        }
        try {
            return word.startsWith("0x") ? HexFormat.of().parseHex(word.substring(2)) : (Object) new BigDecimal(word);
        } catch (IllegalArgumentException noLiteral) {
            throw foreign(word);
        }
    }

    /** The rest of a text whose opening mark has been taken. */
    private String text() throws IOException {
        StringBuilder text = new StringBuilder();
        while (true) {
            int one = take();
            if (one < 0) {
                throw new BackupException(Refusals.say("backup.sqlCutOff.text"), DAMAGED);
            }
            if (one == '\'') {
                int next = take();
                if (next != '\'') {
                    putBack(next);
                    return text.toString();
                }
                text.append('\'');
            } else if (one == '\\') {
                text.append(escaped(take()));
            } else {
                text.append((char) one);
            }
        }
    }

    private static char escaped(int sign) {
        return switch (sign) {
            case '0' -> '\0';
            case 'b' -> '\b';
            case 'n' -> '\n';
            case 'r' -> '\r';
            case 't' -> '\t';
            case 'Z' -> '\u001a';
            default -> (char) sign;
        };
    }

    /** White space and comments. @return whether anything follows */
    private boolean skipSpace() throws IOException {
        while (true) {
            int one = take();
            if (one < 0) {
                return false;
            }
            if (Character.isWhitespace(one)) {
                continue;
            }
            int next = take();
            if (one == '-' && next == '-') {
                complete |= restOfLine().strip().startsWith(COMPLETE);
            } else if (one == '/' && next == '*') {
                comment();
            } else {
                putBack(next);
                putBack(one);
                return true;
            }
        }
    }

    private void comment() throws IOException {
        int before = 0;
        for (int one = take(); one >= 0; one = take()) {
            if (before == '*' && one == '/') {
                return;
            }
            before = one;
        }
        throw new BackupException(Refusals.say("backup.sqlCutOff.comment"), DAMAGED);
    }

    /** Letters up to the first sign that is none; empty if there are none. */
    private String word() throws IOException {
        StringBuilder word = new StringBuilder();
        int one = take();
        while (one >= 0 && Character.isLetter(one)) {
            word.append((char) one);
            one = take();
        }
        putBack(one);
        return word.toString();
    }

    private String name() throws IOException {
        expect('`');
        StringBuilder name = new StringBuilder();
        for (int one = take(); one != '`'; one = take()) {
            if (one < 0 || !(Character.isLetterOrDigit(one) || one == '_')) {
                throw foreign("a name " + name);
            }
            name.append((char) one);
        }
        return name.toString();
    }

    private String restOfStatement() throws IOException {
        StringBuilder text = new StringBuilder();
        boolean isQuoted = false;
        for (int one = take(); one >= 0; one = take()) {
            if (one == '\'') {
                isQuoted = !isQuoted;
            }
            if (one == ';' && !isQuoted) {
                return text.toString().strip().isEmpty() ? "" : text.toString();
            }
            text.append((char) one);
            if (text.length() > MAX_SIGNS) {
                throw foreign(text.toString());
            }
        }
        if (!text.toString().isBlank()) {
            throw foreign(text.toString());
        }
        return "";
    }

    private String restOfLine() throws IOException {
        StringBuilder text = new StringBuilder();
        for (int one = take(); one >= 0 && one != '\n'; one = take()) {
            text.append((char) one);
        }
        return text.toString();
    }

    private void expect(char sign) throws IOException {
        if (take() != sign) {
            throw foreign(String.valueOf(sign));
        }
    }

    private int take() throws IOException {
        int one = in.read();
        if (one == '\n') {
            line++;
        }
        return one;
    }

    private void putBack(int sign) throws IOException {
        if (sign >= 0) {
            in.unread(sign);
            line -= sign == '\n' ? 1 : 0;
        }
    }

    private BackupException foreign(String text) {
        String shown = text.strip().replaceAll("\\s+", " ");
        return new BackupException(
                Refusals.say(
                        "backup.sqlUnknown", "line", line, "shown", shown.substring(0, Math.min(60, shown.length()))),
                DAMAGED);
    }
}
