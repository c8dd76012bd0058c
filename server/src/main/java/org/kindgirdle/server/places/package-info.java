/** The places of the nursery, each with what it changes of the climate. */
@ApplicationModule(allowedDependencies = {"command", "nursery", "problem", "sentences", "site"})
@NullMarked
package org.kindgirdle.server.places;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
