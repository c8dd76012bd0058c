/** The weather as it was measured and is forecast, and what the places make of it. */
@ApplicationModule(
        allowedDependencies = {"command", "csv", "nursery", "places", "problem", "security", "sentences", "site", "time"
        })
@NullMarked
package org.kindgirdle.server.climate;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
