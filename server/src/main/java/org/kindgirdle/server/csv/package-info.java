/** The rows of CSV files, whatever wrote them. */
@ApplicationModule(allowedDependencies = {"sentences"})
@NullMarked
package org.kindgirdle.server.csv;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
