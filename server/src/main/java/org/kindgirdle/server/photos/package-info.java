/** Pictures of layers: checked by what they hold, cleaned, and kept under their hash. */
@ApplicationModule(allowedDependencies = {"command", "digest", "problem", "security", "sentences", "time"})
@NullMarked
package org.kindgirdle.server.photos;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
