package org.kindgirdle.core.house;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.kindgirdle.core.units.Require;

/** The shipped table of rules, read once. */
final class RuleTable {

    private static final String FILE = "house-rules.tsv";
    private static final int COLUMNS = 7;

    static final List<Rule> ALL = read();

    static final Map<String, Rule> BY_CODE =
            ALL.stream().collect(Collectors.toUnmodifiableMap(Rule::code, Function.identity()));

    private RuleTable() {}

    private static List<Rule> read() {
        try (InputStream file = Require.present(FILE, RuleTable.class.getResourceAsStream(FILE));
                BufferedReader lines = new BufferedReader(new InputStreamReader(file, StandardCharsets.UTF_8))) {
            List<Rule> rules = new ArrayList<>();
            lines.readLine();
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                rules.add(rule(rules.size(), line.split("\t", -1)));
            }
            return List.copyOf(rules);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Rule rule(int index, String[] cells) {
        if (cells.length != COLUMNS) {
            throw new IllegalStateException(FILE + ", rule " + (index + 1) + ": " + cells.length + " columns");
        }
        return new Rule(
                index,
                cells[0],
                cells[1],
                cells[2],
                Double.parseDouble(cells[3]),
                Double.parseDouble(cells[4]),
                Double.parseDouble(cells[5]),
                cells[6]);
    }
}
