/** What leaves the application on paper: labels and drawings, as PDF. */
@ApplicationModule(allowedDependencies = {"layers", "mothers", "places", "problem", "sentences", "snapshot", "species"})
@NullMarked
package org.kindgirdle.server.formats;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
