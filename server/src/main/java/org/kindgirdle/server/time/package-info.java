/** The business clock, apart from the system's. */
@ApplicationModule(allowedDependencies = {"persistence"})
@NullMarked
package org.kindgirdle.server.time;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
