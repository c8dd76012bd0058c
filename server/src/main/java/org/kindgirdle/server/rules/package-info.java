/** The house rules, in versions. */
@ApplicationModule(allowedDependencies = {"command", "nursery", "problem", "sentences", "time"})
@NullMarked
package org.kindgirdle.server.rules;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
