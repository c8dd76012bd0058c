package org.kindgirdle.server.recipes;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.look.School;

/** A house recipe by name, and the number of its version in force. */
@Entity(name = "HouseRecipe")
@Table(name = "recipe")
class Recipe {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    @Nullable
    Long id;

    String name = "";

    @Enumerated(EnumType.STRING)
    School school = School.IN_LEAF;

    int recipeNumber;

    @Version
    long version;

    protected Recipe() {}

    static Recipe fresh() {
        return new Recipe();
    }
}
