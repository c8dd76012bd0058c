/** What all master data share: the lock that keeps records and changes apart, and the refusal of an edit on an old version. */
@ApplicationModule(allowedDependencies = {"problem", "security", "sentences"})
@NullMarked
package org.kindgirdle.server.nursery;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
