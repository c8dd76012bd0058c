package org.kindgirdle.server.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What a nursery file holds: the tables of the database as they are, but for what is made from others (projections),
 * and what lets people in (passwords, sessions, addresses of calendars).
 */
@Component
class NurseryTables {

    /** Raised when a file of before can't be read any more. */
    static final int VERSION = 1;

    static final String FORMAT = "kind-girdle-nursery";

    private final JdbcTemplate jdbc;

    NurseryTables(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** What a field holds. */
    enum TableKind {
        TEXT,
        WHOLE,
        NUMBER,
        YES_NO,
        DATE,
        INSTANT,
        JSON
    }

    /** @param optional whether a file may leave it out */
    record Field(String name, String column, TableKind kind, boolean nullable, boolean optional) {}

    /** @param key under which its rows stand in the file */
    record Kept(String key, String table, String order, List<Field> fields) {}

    /** @param without columns that do not go into the file */
    private record Rule(String key, String table, String order, Set<String> without) {

        static Rule of(String key, String table, String order, String... without) {
            return new Rule(key, table, order, Set.of(without));
        }
    }

    /** What others refer to first. */
    private static final List<Rule> RULES = List.of(
            Rule.of("people", "person", "id", "password_hash"),
            Rule.of("site", "site", "id"),
            Rule.of("places", "place", "id"),
            Rule.of("species", "species", "code"),
            Rule.of("speciesProfiles", "species_profile", "species_code, number"),
            Rule.of("houseRules", "house_rules", "number"),
            Rule.of("recipes", "recipe", "id"),
            Rule.of("recipeVersions", "recipe_version", "recipe_id, number"),
            Rule.of("priceLists", "price_list", "id"),
            Rule.of("supplies", "supplies", "id"),
            Rule.of("weatherDays", "weather_day", "day"),
            Rule.of("weatherChanges", "weather_change", "id"),
            Rule.of("forecastDays", "forecast_day", "issued_on, day"),
            Rule.of("leafRecords", "leaf_record", "id"),
            Rule.of("mothers", "mother", "id"),
            Rule.of("motherEvents", "mother_event", "id"),
            Rule.of("limbs", "limb", "id"),
            Rule.of("layers", "layer", "id"),
            Rule.of("records", "layer_event", "uuid", "id"),
            Rule.of("motherOrigins", "mother_origin", "mother_id"),
            Rule.of("photos", "layer_photo", "uuid", "id"),
            Rule.of("learnedTimes", "learned_time", "id"),
            Rule.of("targets", "target", "id"),
            Rule.of("trials", "trial", "id"),
            Rule.of("trialArms", "trial_arm", "trial_id, number"),
            Rule.of("trialPlaces", "trial_slot", "id"),
            Rule.of("plannedBatches", "planned_batch", "id"),
            Rule.of("savedFilters", "saved_filter", "id"),
            Rule.of("calendarEntries", "calendar_entry", "uid"),
            Rule.of("counters", "counter", "name"));

    /** Parts that files of before do not have. */
    static final Set<String> LATER = Set.of("weatherChanges", "leafRecords");

    /** Of a layer, what was decided when it was set; all else is made from its records. */
    private static final Set<String> OF_A_LAYER = Set.of(
            "id", "number", "code", "batch_id", "mother_id", "set_mother_id", "recipe_id", "recipe_number", "limb_id");

    /** As they are in this database. */
    List<Kept> all() {
        return RULES.stream()
                .map(rule -> new Kept(rule.key, rule.table, rule.order, fields(rule)))
                .toList();
    }

    private List<Field> fields(Rule rule) {
        List<Field> fields = new ArrayList<>();
        jdbc.query(
                "select column_name, data_type, is_nullable, column_default is not null from information_schema.columns"
                        + " where table_schema = database() and table_name = ? order by ordinal_position",
                row -> {
                    String column = row.getString(1);
                    boolean isNullable = row.getString(3).equals("YES");
                    boolean isKept =
                            rule.table.equals("layer") ? OF_A_LAYER.contains(column) : !rule.without.contains(column);
                    if (isKept) {
                        fields.add(new Field(
                                camel(column),
                                column,
                                kind(row.getString(2)),
                                isNullable,
                                isNullable || row.getBoolean(4)));
                    }
                },
                rule.table);
        return fields;
    }

    private static TableKind kind(String type) {
        return switch (type.toLowerCase(Locale.ROOT)) {
            case "bigint", "int" -> TableKind.WHOLE;
            case "tinyint" -> TableKind.YES_NO;
            case "double" -> TableKind.NUMBER;
            case "date" -> TableKind.DATE;
            case "datetime" -> TableKind.INSTANT;
            case "longtext" -> TableKind.JSON;
            default -> TableKind.TEXT;
        };
    }

    private static String camel(String column) {
        String[] words = column.split("_");
        return words[0]
                + Arrays.stream(words)
                        .skip(1)
                        .map(word -> Character.toUpperCase(word.charAt(0)) + word.substring(1))
                        .collect(Collectors.joining());
    }
}
