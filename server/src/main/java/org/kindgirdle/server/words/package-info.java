/** The sentences of verdicts and jobs, made in one place. */
@ApplicationModule(allowedDependencies = {"sentences", "units"})
@NullMarked
package org.kindgirdle.server.words;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
