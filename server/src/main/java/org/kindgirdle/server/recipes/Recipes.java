package org.kindgirdle.server.recipes;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.server.nursery.Author;
import org.kindgirdle.server.nursery.NurseryLock;
import org.kindgirdle.server.nursery.Versions;
import org.kindgirdle.server.problem.ProblemException;
import org.kindgirdle.server.time.BusinessClock;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The recipes, in numbered versions that are never changed. An edit on an old one is refused with both sides. */
@Service
public class Recipes {

    private final RecipeRepository recipes;
    private final EntityManager rows;
    private final BusinessClock clock;
    private final Author author;
    private final NurseryLock lock;

    Recipes(RecipeRepository recipes, EntityManager rows, BusinessClock clock, Author author, NurseryLock lock) {
        this.recipes = recipes;
        this.rows = rows;
        this.clock = clock;
        this.author = author;
        this.lock = lock;
    }

    @Transactional(readOnly = true)
    public List<RecipeView> all() {
        Map<RecipeVersion, org.kindgirdle.core.set.Recipe> all = versions();
        return recipes.findAll().stream().map(one -> view(one, all)).toList();
    }

    /** Every version of every recipe. */
    @Transactional(readOnly = true)
    public Map<RecipeVersion, org.kindgirdle.core.set.Recipe> versions() {
        return rows.createQuery("select one from RecipeVersionRow one", RecipeVersionRow.class).getResultList().stream()
                .collect(Collectors.toMap(
                        one -> new RecipeVersion(one.key.recipeId(), one.key.number()), one -> one.recipe));
    }

    @Transactional
    public RecipeView save(RecipeView edit) {
        lock.holdForChange();
        Recipe one = edit.id() == null
                ? Recipe.fresh()
                : recipes.findById(edit.id()).orElseThrow(() -> ProblemException.notFound("recipe", edit.id()));
        if (edit.id() != null) {
            Versions.check(edit.version(), one.version, edit, view(one, versions()));
        }
        recipes.findByName(edit.name()).filter(other -> !other.equals(one)).ifPresent(other -> {
            throw Versions.taken("name", edit.name(), "recipe");
        });
        one.name = edit.name();
        one.school = edit.school();
        one.recipeNumber++;
        Recipe saved = recipes.saveAndFlush(one);
        add(id(saved.id), saved.recipeNumber, edit.recipe());
        return view(saved, versions());
    }

    private void add(long recipeId, int number, org.kindgirdle.core.set.Recipe recipe) {
        rows.persist(new RecipeVersionRow(recipeId, number, recipe, author.name(), clock.systemNow()));
    }

    private static RecipeView view(Recipe one, Map<RecipeVersion, org.kindgirdle.core.set.Recipe> all) {
        org.kindgirdle.core.set.Recipe recipe = all.get(new RecipeVersion(id(one.id), one.recipeNumber));
        if (recipe == null) {
            throw new IllegalStateException("recipe " + one.name + " has no version " + one.recipeNumber);
        }
        return new RecipeView(one.id, one.name, one.school, recipe, one.recipeNumber, one.version);
    }

    private static long id(@Nullable Long id) {
        if (id == null) {
            throw new IllegalStateException("saved without an id");
        }
        return id;
    }
}
