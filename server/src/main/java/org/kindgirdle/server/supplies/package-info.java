/** What there is to wrap, root and pot with, and what it costs. */
@ApplicationModule(allowedDependencies = {"command", "nursery", "problem", "sentences"})
@NullMarked
package org.kindgirdle.server.supplies;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
