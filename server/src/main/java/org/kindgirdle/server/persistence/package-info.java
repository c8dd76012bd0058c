/** How Hibernate is set up for all rooms. */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package org.kindgirdle.server.persistence;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
