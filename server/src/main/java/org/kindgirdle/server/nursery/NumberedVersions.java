package org.kindgirdle.server.nursery;

import jakarta.persistence.EntityManager;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.kindgirdle.core.growth.SpeciesProfile;
import org.kindgirdle.core.house.HouseRules;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.server.security.CurrentPerson;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Component;

/** The immutable numbered versions of profiles, recipes and house rules. */
@Component
class NumberedVersions {

    private final EntityManager rows;
    private final BusinessClock clock;
    private final CurrentPerson person;

    NumberedVersions(EntityManager rows, BusinessClock clock, CurrentPerson person) {
        this.rows = rows;
        this.clock = clock;
        this.person = person;
    }

    SpeciesProfile profile(String code, int number) {
        return rows.find(SpeciesProfileRow.class, new SpeciesProfileRow.Key(code, number)).profile;
    }

    /** All profiles in force, by code. */
    Map<String, SpeciesProfile> profilesInForce() {
        return rows.createQuery("""
                        select one from SpeciesProfileRow one join Species species
                            on species.code = one.key.speciesCode and species.profileNumber = one.key.number
                        """, SpeciesProfileRow.class).getResultList().stream()
                .collect(Collectors.toMap(one -> one.key.speciesCode(), one -> one.profile));
    }

    void add(String code, int number, SpeciesProfile profile) {
        rows.persist(new SpeciesProfileRow(code, number, profile, by(), clock.systemNow()));
    }

    /** Recipe versions by {@code id/number}. */
    Map<String, Recipe> recipes() {
        return rows.createQuery("select one from RecipeVersionRow one", RecipeVersionRow.class).getResultList().stream()
                .collect(Collectors.toMap(one -> one.key.recipeId() + "/" + one.key.number(), one -> one.recipe));
    }

    void add(long recipeId, int number, Recipe recipe) {
        rows.persist(new RecipeVersionRow(recipeId, number, recipe, by(), clock.systemNow()));
    }

    /** The rules in force with their number; those that were shipped have number 0. */
    Map.Entry<Integer, HouseRules> rules() {
        return rows
                .createQuery("select one from HouseRulesRow one order by one.number desc limit 1", HouseRulesRow.class)
                .getResultList()
                .stream()
                .findFirst()
                .map(one -> Map.entry(one.number, HouseRules.of(one.rules)))
                .orElseGet(() -> Map.entry(0, HouseRules.SHIPPED));
    }

    HouseRules rules(int number) {
        return number == 0 ? HouseRules.SHIPPED : HouseRules.of(rows.find(HouseRulesRow.class, number).rules);
    }

    void add(int number, HouseRules rules) {
        rows.persist(new HouseRulesRow(number, rules.values(), by(), clock.systemNow()));
    }

    private String by() {
        return Optional.of(person)
                .flatMap(CurrentPerson::find)
                .map(who -> who.name())
                .orElse("shipped");
    }
}
