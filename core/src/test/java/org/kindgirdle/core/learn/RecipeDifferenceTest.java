package org.kindgirdle.core.learn;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.kindgirdle.core.climate.Cover;
import org.kindgirdle.core.look.School;
import org.kindgirdle.core.set.Medium;
import org.kindgirdle.core.set.Method;
import org.kindgirdle.core.set.Recipe;
import org.kindgirdle.core.set.Wound;
import org.kindgirdle.core.set.Wrap;

class RecipeDifferenceTest {

    private static final Recipe FILM =
            new Recipe(Method.AIR, Wound.RING_SCRAPED, 3000, Medium.MOSS, Wrap.TIED_FILM, Cover.FOIL, 0, 0);

    @Test
    void what_differs_is_named() {
        assertThat(RecipeDifference.between(FILM, School.IN_LEAF, FILM, School.IN_LEAF))
                .isEmpty();
        assertThat(RecipeDifference.between(FILM, School.IN_LEAF, FILM, School.SPRING))
                .containsExactly(RecipeDifference.SCHOOL);
        Recipe stronger =
                new Recipe(Method.AIR, Wound.RING_SCRAPED, 8000, Medium.COIR, Wrap.TIED_FILM, Cover.BLACK, 0, 0);
        assertThat(RecipeDifference.between(FILM, School.IN_LEAF, stronger, School.IN_LEAF))
                .containsExactly(RecipeDifference.HORMONE, RecipeDifference.MEDIUM, RecipeDifference.COVER);
    }

    @Test
    void another_wrap_with_another_container_is_one_thing() {
        Recipe pod =
                new Recipe(Method.AIR, Wound.RING_SCRAPED, 3000, Medium.MOSS, Wrap.HINGED_POD, Cover.FOIL, 40, 350);
        Recipe larger =
                new Recipe(Method.AIR, Wound.RING_SCRAPED, 3000, Medium.MOSS, Wrap.HINGED_POD, Cover.FOIL, 40, 500);
        assertThat(RecipeDifference.between(FILM, School.IN_LEAF, pod, School.IN_LEAF))
                .containsExactly(RecipeDifference.WRAP);
        assertThat(RecipeDifference.between(pod, School.IN_LEAF, larger, School.IN_LEAF))
                .containsExactly(RecipeDifference.CONTAINER);
    }
}
