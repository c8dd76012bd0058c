/** One answer for one command, however often it is sent. */
@ApplicationModule(allowedDependencies = {"digest", "problem", "security", "sentences", "time"})
@NullMarked
package org.kindgirdle.server.command;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
