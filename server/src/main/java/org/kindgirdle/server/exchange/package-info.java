/** The nursery's records in and out, in open formats: CSV for every table, and the whole nursery in one file. */
@ApplicationModule(
        allowedDependencies = {
            "climate",
            "csv",
            "digest",
            "http",
            "journal",
            "mothers",
            "nursery",
            "opening",
            "persistence",
            "photos",
            "places",
            "problem",
            "projection",
            "recipes",
            "records",
            "rules",
            "security",
            "sentences",
            "site",
            "snapshot",
            "species",
            "supplies",
            "time",
            "units"
        })
@NullMarked
package org.kindgirdle.server.exchange;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
