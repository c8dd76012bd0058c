/** What works here: the ledger, learned times, seasons looked back on, trials. */
@ApplicationModule(
        allowedDependencies = {
            "command",
            "formats",
            "layers",
            "mothers",
            "outcomes",
            "places",
            "problem",
            "projection",
            "recipes",
            "security",
            "sentences",
            "site",
            "snapshot",
            "species",
            "supplies",
            "units",
            "words"
        })
@NullMarked
package org.kindgirdle.server.learn;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
