/** In which units a person reads and types. */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package org.kindgirdle.server.units;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
