package org.kindgirdle.server.exchange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.exchange.Mapping.ColumnSource;
import org.kindgirdle.server.exchange.Mapping.DateOrder;

/** Guesses which column of a file is which of a table, by their names. What it guesses is shown, and can be changed. */
final class Suggestion {

    /** What growers write over their columns, by the words of ours. */
    private static final Map<String, Set<String>> WORDS = Map.ofEntries(
            Map.entry(
                    "set_on",
                    Set.of("set", "date set", "date", "layered", "layered on", "date layered", "ringed", "started")),
            Map.entry("severed_on", Set.of("cut", "cut off", "severed", "date cut", "date severed")),
            Map.entry("potted_on", Set.of("potted", "date potted", "potted up")),
            Map.entry("full_on", Set.of("rooted", "date rooted", "rooted on", "full")),
            Map.entry("released_on", Set.of("sold", "released", "date sold", "out")),
            Map.entry("lost_on", Set.of("died", "dead", "lost", "date lost", "date died")),
            Map.entry("loss_cause", Set.of("cause", "why", "reason", "cause of loss", "cause of death")),
            Map.entry("label", Set.of("tag", "label", "no", "nr", "number", "tag no", "label no")),
            Map.entry("mother", Set.of("mother", "plant", "parent", "stock plant", "tree", "mother plant")),
            Map.entry("recipe", Set.of("recipe", "method", "treatment")),
            Map.entry("diameter_mm", Set.of("diameter", "diam", "thickness", "dia")),
            Map.entry("ring_mm", Set.of("ring", "ring width", "width")),
            Map.entry("hand", Set.of("by", "who", "hand", "initials", "grower")),
            Map.entry("note", Set.of("note", "notes", "remarks", "comment", "comments")),
            Map.entry("code", Set.of("code")),
            Map.entry("variety", Set.of("variety", "cultivar")),
            Map.entry("species", Set.of("species", "kind", "genus", "plant name")),
            Map.entry("place", Set.of("place", "bed", "where", "location", "stands")),
            Map.entry("on", Set.of("date", "day")),
            Map.entry("min_c", Set.of("min", "tmin", "minimum", "low")),
            Map.entry("max_c", Set.of("max", "tmax", "maximum", "high")));

    /** At the end of a column's name, in brackets or not. */
    private static final Pattern UNIT =
            Pattern.compile("[\\s,(\\[]+(mm|cm|in|m|ml|l|fl oz|gal|g|kg|oz|lb|c|f)[)\\]]?\\s*$");

    private Suggestion() {}

    /** The table that the most columns of a file fit, with how they do. */
    static Mapping of(List<String> header, List<List<String>> sample, List<Table> tables) {
        return tables.stream()
                .map(table -> of(header, sample, table))
                .max(Comparator.comparingDouble(mapping -> score(mapping, tables)))
                .orElseThrow();
    }

    static Mapping of(List<String> header, List<List<String>> sample, Table table) {
        List<ColumnSource> columns = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        for (Column column : table.columns()) {
            if (!column.readOnly() && header.contains(column.name()) && taken.add(column.name())) {
                columns.add(source(column, column.name(), null, header, sample));
            }
        }
        for (Column column : table.columns()) {
            boolean known = columns.stream().anyMatch(one -> one.column().equals(column.name()));
            if (column.readOnly() || known) {
                continue;
            }
            header.stream()
                    .filter(name -> !name.isBlank() && !taken.contains(name) && fits(column, name))
                    .findFirst()
                    .ifPresent(name -> {
                        taken.add(name);
                        columns.add(source(column, name, unit(name), header, sample));
                    });
        }
        return new Mapping(table.name(), columns, hasDecimalCommas(sample));
    }

    private static ColumnSource source(
            Column column, String name, @Nullable String unit, List<String> header, List<List<String>> sample) {
        List<String> cells = sample.stream()
                .map(row -> row.get(header.indexOf(name)).strip())
                .filter(cell -> !cell.isEmpty())
                .toList();
        return new ColumnSource(
                column.name(),
                name,
                null,
                column.dimension() == null ? null : unit,
                column.kind() == Column.CellKind.DATE ? order(cells) : null,
                Map.of());
    }

    /** Where no cell tells day from month, the day is first: as most of the world writes. */
    private static @Nullable DateOrder order(List<String> cells) {
        boolean isoOnly = cells.stream().allMatch(cell -> cell.matches("\\d{4}-\\d{2}-\\d{2}.*"));
        if (isoOnly) {
            return null;
        }
        boolean monthFirst = cells.stream().anyMatch(cell -> cell.matches("\\d{1,2}/(1[3-9]|2\\d|3[01])/.*"));
        return monthFirst ? DateOrder.MONTH_DAY_YEAR : DateOrder.DAY_MONTH_YEAR;
    }

    private static boolean hasDecimalCommas(List<List<String>> sample) {
        return sample.stream()
                .flatMap(List::stream)
                .anyMatch(cell -> cell.strip().matches("-?\\d{1,6},\\d{1,3}"));
    }

    private static double score(Mapping mapping, List<Table> tables) {
        Table table = tables.stream()
                .filter(one -> one.name().equals(mapping.table()))
                .findFirst()
                .orElseThrow();
        long needed = table.columns().stream().filter(Column::needed).count();
        long met = table.columns().stream()
                .filter(column -> column.needed()
                        && mapping.columns().stream()
                                .anyMatch(one -> one.column().equals(column.name())))
                .count();
        // a table whose every needed column is there beats one that shares a few names with the file
        return mapping.columns().size() + (needed == 0 ? 0 : 10.0 * met / needed);
    }

    private static boolean fits(Column column, String name) {
        String plain = plain(name);
        return plain.equals(plain(column.name()))
                || WORDS.getOrDefault(column.name(), Set.of()).contains(plain);
    }

    /** Without its unit: "Diameter (in)", "Diameter in" and "diameter_in" are "diameter". */
    private static String plain(String name) {
        return UNIT.matcher(spaced(name))
                .replaceAll("")
                .replaceAll("\\(.*?\\)|\\[.*?\\]", "")
                .replaceAll("\\s+", " ")
                .strip();
    }

    private static @Nullable String unit(String name) {
        Matcher unit = UNIT.matcher(spaced(name));
        return unit.find() ? unit.group(1) : null;
    }

    private static String spaced(String name) {
        return name.toLowerCase(Locale.ROOT).replaceAll("[_.#:]+", " ");
    }
}
