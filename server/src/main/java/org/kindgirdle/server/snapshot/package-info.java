/** All that a layer is reckoned from beside its journal, as of one day: climate, mothers, recipes, profiles, rules. */
@ApplicationModule(
        allowedDependencies = {
            "climate",
            "mothers",
            "nursery",
            "persistence",
            "places",
            "problem",
            "recipes",
            "rules",
            "site",
            "species",
            "time"
        })
@NullMarked
package org.kindgirdle.server.snapshot;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
