/** The mothers, their limbs, and what was changed on them. */
@ApplicationModule(
        allowedDependencies = {"command", "nursery", "places", "problem", "security", "sentences", "species", "time"})
@NullMarked
package org.kindgirdle.server.mothers;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
