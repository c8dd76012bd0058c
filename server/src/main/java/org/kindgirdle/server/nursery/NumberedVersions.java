package org.kindgirdle.server.nursery;

import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The immutable numbered versions of profiles, recipes and house rules. */
@Component
class NumberedVersions {

    private static final TypeReference<Map<String, Double>> RULE_VALUES = new TypeReference<>() {};

    private final JdbcTemplate jdbc;
    private final JsonMapper json;
    private final BusinessClock clock;
    private final CurrentPerson person;

    NumberedVersions(JdbcTemplate jdbc, JsonMapper json, BusinessClock clock, CurrentPerson person) {
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
        this.person = person;
    }

    SpeciesProfile profile(String code, int number) {
        String text = jdbc.queryForObject(
                "select profile from species_profile where species_code = ? and number = ?",
                String.class,
                code,
                number);
        return json.readValue(text, SpeciesProfile.class);
    }

    /** All profiles in force, by code. */
    Map<String, SpeciesProfile> profilesInForce() {
        Map<String, SpeciesProfile> all = new HashMap<>();
        jdbc.query(
                "select p.species_code, p.profile from species s join species_profile p"
                        + " on p.species_code = s.code and p.number = s.profile_number",
                row -> {
                    all.put(row.getString(1), json.readValue(row.getString(2), SpeciesProfile.class));
                });
        return all;
    }

    void add(String code, int number, SpeciesProfile profile) {
        jdbc.update(
                "insert into species_profile (species_code, number, profile, made_by, made_at) values (?, ?, ?, ?, ?)",
                code,
                number,
                json.writeValueAsString(profile),
                by(),
                at());
    }

    /** Recipe versions by {@code id/number}. */
    Map<String, Recipe> recipes() {
        Map<String, Recipe> all = new HashMap<>();
        jdbc.query("select recipe_id, number, recipe from recipe_version", row -> {
            all.put(row.getLong(1) + "/" + row.getInt(2), json.readValue(row.getString(3), Recipe.class));
        });
        return all;
    }

    void add(long recipeId, int number, Recipe recipe) {
        jdbc.update(
                "insert into recipe_version (recipe_id, number, recipe, made_by, made_at) values (?, ?, ?, ?, ?)",
                recipeId,
                number,
                json.writeValueAsString(recipe),
                by(),
                at());
    }

    /** The rules in force with their number; those that were shipped have number 0. */
    Map.Entry<Integer, HouseRules> rules() {
        return jdbc.query(
                "select number, rules from house_rules order by number desc limit 1",
                rows -> rows.next()
                        ? Map.entry(rows.getInt(1), HouseRules.of(json.readValue(rows.getString(2), RULE_VALUES)))
                        : Map.entry(0, HouseRules.SHIPPED));
    }

    HouseRules rules(int number) {
        return number == 0
                ? HouseRules.SHIPPED
                : HouseRules.of(json.readValue(
                        jdbc.queryForObject("select rules from house_rules where number = ?", String.class, number),
                        RULE_VALUES));
    }

    void add(int number, HouseRules rules) {
        jdbc.update(
                "insert into house_rules (number, rules, made_by, made_at) values (?, ?, ?, ?)",
                number,
                json.writeValueAsString(rules.values()),
                by(),
                at());
    }

    private String by() {
        return Optional.of(person)
                .flatMap(CurrentPerson::find)
                .map(who -> who.name())
                .orElse("shipped");
    }

    private LocalDateTime at() {
        return LocalDateTime.ofInstant(clock.systemNow(), ZoneOffset.UTC);
    }
}
