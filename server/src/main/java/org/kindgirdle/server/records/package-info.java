/** The records as they are kept: one row each, which is never changed, read back as events of the core. */
@ApplicationModule(allowedDependencies = {"problem", "sentences"})
@NullMarked
package org.kindgirdle.server.records;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
