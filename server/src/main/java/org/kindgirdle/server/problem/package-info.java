/** What clients are told when something is wrong: RFC 9457 problem details with every violation. */
@ApplicationModule(allowedDependencies = {"sentences"})
@NullMarked
package org.kindgirdle.server.problem;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
