/** What happens between the start of the application and the first request. */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package org.kindgirdle.server.opening;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
