/** Lists, pages and cards of layers, and what is counted of them. */
@ApplicationModule(
        allowedDependencies = {
            "mothers",
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
package org.kindgirdle.server.layers;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
