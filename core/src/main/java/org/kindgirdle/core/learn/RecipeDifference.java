package org.kindgirdle.core.learn;

import java.util.EnumSet;
import java.util.Set;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.set.Recipe;

/** In what two recipes differ; a trial of recipes that differ in more than one thing can't say which of them it was. */
public enum RecipeDifference {
    METHOD,
    WOUND,
    HORMONE,
    MEDIUM,
    WRAP,
    COVER,
    /** what the container weighs or holds */
    CONTAINER,
    /** when it is severed */
    SCHOOL;

    /** Empty if both do the same. */
    public static Set<RecipeDifference> between(Recipe a, School schoolA, Recipe b, School schoolB) {
        Set<RecipeDifference> all = EnumSet.noneOf(RecipeDifference.class);
        addIf(all, METHOD, a.method() != b.method());
        addIf(all, WOUND, a.wound() != b.wound());
        addIf(all, HORMONE, a.hormonePpm() != b.hormonePpm());
        addIf(all, MEDIUM, a.medium() != b.medium());
        addIf(all, WRAP, a.wrap() != b.wrap());
        addIf(all, COVER, a.cover() != b.cover());
        // another wrap has another container: that is one thing
        boolean container = a.containerG() != b.containerG() || a.containerMl() != b.containerMl();
        addIf(all, CONTAINER, container && a.wrap() == b.wrap());
        addIf(all, SCHOOL, schoolA != schoolB);
        return all;
    }

    private static void addIf(Set<RecipeDifference> all, RecipeDifference one, boolean differs) {
        if (differs) {
            all.add(one);
        }
    }
}
