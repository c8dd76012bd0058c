/** Where the nursery is: its climate of a usual year, its frosts, its zone and its round. */
@ApplicationModule(allowedDependencies = {"command", "nursery", "persistence", "problem", "sentences", "time"})
@NullMarked
package org.kindgirdle.server.site;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
