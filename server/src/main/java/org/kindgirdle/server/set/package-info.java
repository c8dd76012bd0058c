/** The bench: sums before setting, and batches. */
@ApplicationModule(
        allowedDependencies = {
            "command",
            "formats",
            "journal",
            "layers",
            "learn",
            "mothers",
            "places",
            "plan",
            "problem",
            "recipes",
            "security",
            "sentences",
            "snapshot",
            "species",
            "supplies",
            "time",
            "units",
            "words"
        })
@NullMarked
package org.kindgirdle.server.set;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
