/** Rounds, windows and single jobs in people's own calendars. */
@ApplicationModule(
        allowedDependencies = {
            "layers",
            "look",
            "mothers",
            "places",
            "problem",
            "projection",
            "recipes",
            "security",
            "sentences",
            "site",
            "snapshot",
            "species",
            "time",
            "words"
        })
@NullMarked
package org.kindgirdle.server.calendar;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
