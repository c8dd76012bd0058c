/** The page that a phone begins with: how to trust the nursery's own certificate authority. */
@ApplicationModule(allowedDependencies = {"digest"})
@NullMarked
package org.kindgirdle.server.trust;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
