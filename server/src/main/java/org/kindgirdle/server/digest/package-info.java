/** Digests by which bytes are told apart. */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package org.kindgirdle.server.digest;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
