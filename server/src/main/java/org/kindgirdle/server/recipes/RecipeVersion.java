package org.kindgirdle.server.recipes;

/**
 * Which version of which recipe.
 *
 * @param number from 1
 */
public record RecipeVersion(long recipeId, int number) {}
