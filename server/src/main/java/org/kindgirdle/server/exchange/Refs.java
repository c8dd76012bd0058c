package org.kindgirdle.server.exchange;

import jakarta.persistence.EntityManager;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.kindgirdle.server.mothers.LimbView;
import org.kindgirdle.server.mothers.Limbs;
import org.kindgirdle.server.mothers.MotherView;
import org.kindgirdle.server.mothers.Mothers;
import org.kindgirdle.server.places.PlaceView;
import org.kindgirdle.server.places.Places;
import org.kindgirdle.server.recipes.RecipeView;
import org.kindgirdle.server.recipes.Recipes;
import org.kindgirdle.server.security.People;
import org.springframework.stereotype.Component;

/** The rows that others refer to, by the names on their tags. */
@Component
class Refs {

    private final Ref places;
    private final Ref mothers;
    private final Ref recipes;
    private final Ref limbs;
    private final Ref people;
    private final Ref trials;
    private final Ref layers;

    Refs(Places places, Recipes recipes, Mothers mothers, Limbs limbs, People people, EntityManager rows) {
        this.places = new Ref(
                "place",
                () -> places.all().stream()
                        .collect(Collectors.toMap(one -> Objects.requireNonNull(one.id()), PlaceView::name)));
        this.mothers = new Ref(
                "mother",
                () -> mothers.all().stream()
                        .collect(Collectors.toMap(one -> Objects.requireNonNull(one.id()), MotherView::code)));
        this.recipes = new Ref(
                "recipe",
                () -> recipes.all().stream()
                        .collect(Collectors.toMap(one -> Objects.requireNonNull(one.id()), RecipeView::name)));
        this.limbs = new Ref("limb", () -> {
            var codes = this.mothers.now();
            return limbs.all().stream()
                    .collect(Collectors.toMap(one -> Objects.requireNonNull(one.id()), one -> limb(codes, one)));
        });
        this.people = new Ref(
                "person",
                () -> people.all().stream().collect(Collectors.toMap(People.PersonView::id, People.PersonView::name)));
        this.trials = new Ref("trial", () -> names(rows, "select trial.id, trial.name from TrialRow trial"));
        this.layers = new Ref("layer", () -> names(rows, "select layer.id, layer.code from Layer layer"));
    }

    private static Map<Long, String> names(EntityManager rows, String select) {
        return rows.createQuery(select, Object[].class).getResultList().stream()
                .collect(Collectors.toMap(row -> (Long) row[0], row -> (String) row[1]));
    }

    private static String limb(Ref.Known mothers, LimbView limb) {
        return mothers.name(limb.motherId()) + "/" + limb.name();
    }

    Ref places() {
        return places;
    }

    Ref mothers() {
        return mothers;
    }

    Ref recipes() {
        return recipes;
    }

    /** As {@code FJ-01/north arm}: a limb's name is its mother's own. */
    Ref limbs() {
        return limbs;
    }

    Ref people() {
        return people;
    }

    Ref trials() {
        return trials;
    }

    Ref layers() {
        return layers;
    }
}
