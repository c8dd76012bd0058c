/** The ladder from the tent to the open, the winter, and the release. */
@ApplicationModule(
        allowedDependencies = {
            "command",
            "formats",
            "journal",
            "layers",
            "mothers",
            "places",
            "problem",
            "projection",
            "security",
            "sentences",
            "snapshot",
            "time",
            "units",
            "words"
        })
@NullMarked
package org.kindgirdle.server.harden;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
