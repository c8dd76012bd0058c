/** The round: what is due, where. */
@ApplicationModule(
        allowedDependencies = {
            "command",
            "formats",
            "layers",
            "mothers",
            "places",
            "problem",
            "projection",
            "security",
            "sentences",
            "site",
            "snapshot",
            "species",
            "time",
            "units",
            "words"
        })
@NullMarked
package org.kindgirdle.server.look;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
