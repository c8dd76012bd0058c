/** When to cut a layer off its mother, and how much leaf stays on it. */
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
            "words"
        })
@NullMarked
package org.kindgirdle.server.sever;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
