package org.kindgirdle.server.exchange;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.kindgirdle.server.exchange.RowException.Wrong;

/** Counts what becomes of the rows of a file. */
final class Counting implements Tally {

    private static final int MAX_BAD = 200;
    private static final int MAX_SHOWN = 80;

    private final boolean look;
    private final Map<Table.RowOutcome, Long> outcomes = new EnumMap<>(Table.RowOutcome.class);
    private final List<ImportFindings.BadCell> bad = new ArrayList<>();
    private final Set<Long> badLines = new HashSet<>();
    private final List<String> mothers = new ArrayList<>();
    private long rows;
    private String broken = "";

    Counting(boolean look) {
        this.look = look;
    }

    @Override
    public boolean keeps() {
        return !look && !isBad();
    }

    @Override
    public void count(Table.RowOutcome outcome) {
        outcomes.merge(outcome, 1L, Long::sum);
    }

    @Override
    public void mother(String code) {
        mothers.add(code);
    }

    @Override
    public void wrong(long line, List<Wrong> wrong) {
        badLines.add(line);
        for (Wrong one : wrong) {
            if (bad.size() < MAX_BAD) {
                String value = one.value();
                bad.add(new ImportFindings.BadCell(
                        line,
                        one.column(),
                        value.length() > MAX_SHOWN ? value.substring(0, MAX_SHOWN) + "…" : value,
                        one.message()));
            }
        }
    }

    void row() {
        rows++;
    }

    void broken(String why) {
        broken = why;
    }

    boolean isBad() {
        return !badLines.isEmpty() || !broken.isEmpty();
    }

    long badRows() {
        return badLines.size();
    }

    long rows() {
        return rows;
    }

    ImportFindings outcome() {
        return new ImportFindings(
                rows,
                outcomes.getOrDefault(Table.RowOutcome.NEW, 0L),
                outcomes.getOrDefault(Table.RowOutcome.CHANGED, 0L),
                outcomes.getOrDefault(Table.RowOutcome.SAME, 0L),
                mothers.stream().limit(MAX_BAD).toList(),
                mothers.size(),
                badLines.size(),
                bad.stream().sorted((a, b) -> Long.compare(a.line(), b.line())).toList(),
                broken);
    }
}
