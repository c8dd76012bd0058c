/** Sentences by key, from files of their own; another language is another file. */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package org.kindgirdle.server.sentences;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
