package org.kindgirdle.server.learn;

import java.util.function.Function;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.outcomes.Outcomes;
import org.kindgirdle.server.snapshot.NurserySnapshot;

/** What the ledger keeps layers apart by. */
enum LedgerBy {
    SPECIES("species", ofMother(MotherView::speciesCode)),
    VARIETY("variety", ofMother(MotherView::variety)),
    MOTHER("motherId", ofMother(mother -> String.valueOf(mother.id()))),
    PLACE("motherPlace", ofMother(mother -> String.valueOf(mother.placeId()))),
    RECIPE("recipe", Outcomes.Apart.NOTHING, (key, nursery) -> String.valueOf(key.recipeId())),
    WOUND("wound", Outcomes.Apart.WOUND, (key, nursery) -> key.value()),
    HORMONE("hormonePpm", Outcomes.Apart.HORMONE, (key, nursery) -> plain(Double.parseDouble(key.value()))),
    MEDIUM("medium", Outcomes.Apart.MEDIUM, (key, nursery) -> key.value()),
    WRAP("wrap", ofRecipe(recipe -> recipe.wrap().name())),
    COVER("cover", ofRecipe(recipe -> recipe.cover().name())),
    WOOD("wood", Outcomes.Apart.WOOD, (key, nursery) -> key.value()),
    POSITION("position", Outcomes.Apart.POSITION, (key, nursery) -> key.value()),
    BRIDGING("bridging", Outcomes.Apart.BRIDGING, (key, nursery) -> key.value()),
    WEEK("week", Outcomes.Apart.WEEK, (key, nursery) -> key.value()),
    HAND("hand", Outcomes.Apart.HAND, (key, nursery) -> key.value()),
    YEAR("year", Outcomes.Apart.YEAR, (key, nursery) -> key.value());

    /** Reads the value that a line of the ledger is about. */
    private interface ValueOf {
        String read(Outcomes.Key key, NurserySnapshot nursery);
    }

    private record Reading(Outcomes.Apart apart, ValueOf value) {}

    private final String filter;
    private final Outcomes.Apart apart;
    private final ValueOf value;

    LedgerBy(String filter, Reading reading) {
        this(filter, reading.apart, reading.value);
    }

    LedgerBy(String filter, Outcomes.Apart apart, ValueOf value) {
        this.filter = filter;
        this.apart = apart;
        this.value = value;
    }

    private static Reading ofMother(Function<MotherView, String> part) {
        return new Reading(
                Outcomes.Apart.MOTHER, (key, nursery) -> part.apply(nursery.mother(Long.parseLong(key.value()))));
    }

    private static Reading ofRecipe(Function<Recipe, String> part) {
        return new Reading(
                Outcomes.Apart.NOTHING,
                (key, nursery) -> part.apply(nursery.recipe(key.recipeId(), key.recipeNumber())));
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }

    /** The name of the filter, of lists of layers, that finds the layers behind a line. */
    String filter() {
        return filter;
    }

    Outcomes.Apart apart() {
        return apart;
    }

    String value(Outcomes.Key key, NurserySnapshot nursery) {
        return value.read(key, nursery);
    }
}
