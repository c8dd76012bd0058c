/** The season with its windows, the stock of mothers and limbs, targets and how many to set for them. */
@ApplicationModule(
        allowedDependencies = {
            "climate",
            "command",
            "layers",
            "mothers",
            "places",
            "problem",
            "recipes",
            "security",
            "sentences",
            "site",
            "snapshot",
            "species",
            "supplies",
            "time",
            "words"
        })
@NullMarked
package org.kindgirdle.server.plan;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
