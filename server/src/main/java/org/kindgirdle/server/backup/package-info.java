/** Backups: written, looked through, brought back, and made every night. */
@ApplicationModule(allowedDependencies = {"digest", "sentences", "time"})
@NullMarked
package org.kindgirdle.server.backup;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
