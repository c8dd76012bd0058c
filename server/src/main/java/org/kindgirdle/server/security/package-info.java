/** People, sign-in, roles. */
@ApplicationModule(allowedDependencies = {"digest", "persistence", "problem", "sentences", "time", "units"})
@NullMarked
package org.kindgirdle.server.security;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
