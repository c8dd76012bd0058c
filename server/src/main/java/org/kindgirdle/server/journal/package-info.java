/** The journals of the layers are written here: records by hand, for many at once, and with files. */
@ApplicationModule(
        allowedDependencies = {
            "command",
            "layers",
            "mothers",
            "nursery",
            "persistence",
            "places",
            "problem",
            "projection",
            "recipes",
            "records",
            "security",
            "sentences",
            "snapshot",
            "species",
            "time",
            "words"
        })
@NullMarked
package org.kindgirdle.server.journal;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
