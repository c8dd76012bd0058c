/** Into what a severed layer goes, and whether it stands in the wind. */
@ApplicationModule(
        allowedDependencies = {
            "layers",
            "mothers",
            "places",
            "problem",
            "projection",
            "security",
            "sentences",
            "snapshot",
            "supplies",
            "words"
        })
@NullMarked
package org.kindgirdle.server.pot;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
