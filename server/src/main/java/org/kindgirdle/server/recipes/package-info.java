/** How a layer is made: recipes, in versions. */
@NullMarked
package org.kindgirdle.server.recipes;

import org.jspecify.annotations.NullMarked;
