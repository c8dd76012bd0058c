/** What became of the layers, for whoever learns from it. */
@ApplicationModule(allowedDependencies = {"layers", "projection", "records", "snapshot"})
@NullMarked
package org.kindgirdle.server.outcomes;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
