/** The made-up nursery and its clock. */
@ApplicationModule(
        allowedDependencies = {
            "climate",
            "journal",
            "learn",
            "mothers",
            "opening",
            "places",
            "plan",
            "problem",
            "recipes",
            "records",
            "security",
            "sentences",
            "site",
            "snapshot",
            "supplies",
            "time"
        })
@NullMarked
package org.kindgirdle.server.demo;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
