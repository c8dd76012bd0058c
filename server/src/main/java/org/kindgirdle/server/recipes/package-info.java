/** How a layer is made: recipes, in versions. */
@ApplicationModule(allowedDependencies = {"command", "nursery", "problem", "time"})
@NullMarked
package org.kindgirdle.server.recipes;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
