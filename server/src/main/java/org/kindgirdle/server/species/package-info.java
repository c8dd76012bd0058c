/** The species that are grown: their profiles, the times that were learned of them, and when they are in leaf. */
@ApplicationModule(
        allowedDependencies = {
            "command",
            "nursery",
            "opening",
            "places",
            "problem",
            "security",
            "sentences",
            "time",
            "words"
        })
@NullMarked
package org.kindgirdle.server.species;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
