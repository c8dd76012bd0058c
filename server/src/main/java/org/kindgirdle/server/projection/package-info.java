/** What follows from the journals as of a day, kept in a row for each layer, and made anew when what it follows from changes. */
@ApplicationModule(
        allowedDependencies = {
            "climate",
            "mothers",
            "nursery",
            "opening",
            "persistence",
            "records",
            "rules",
            "snapshot",
            "species",
            "time"
        })
@NullMarked
package org.kindgirdle.server.projection;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
