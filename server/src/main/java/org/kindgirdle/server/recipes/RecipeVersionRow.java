package org.kindgirdle.server.recipes;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.kindgirdle.core.set.Recipe;

/** One version of a recipe. */
@Entity
@Immutable
@Table(name = "recipe_version")
class RecipeVersionRow {

    @Embeddable
    record Key(long recipeId, int number) {}

    @EmbeddedId
    Key key = new Key(0, 0);

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    Recipe recipe;

    String madeBy = "";
    Instant madeAt = Instant.EPOCH;

    @SuppressWarnings("NullAway.Init")
    protected RecipeVersionRow() {}

    RecipeVersionRow(long recipeId, int number, Recipe recipe, String madeBy, Instant madeAt) {
        this.key = new Key(recipeId, number);
        this.recipe = recipe;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }
}
