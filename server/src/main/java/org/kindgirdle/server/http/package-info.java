/** What all of HTTP shares: JSON, the API's description, the pages. */
@ApplicationModule(allowedDependencies = {"problem", "records", "sentences"})
@NullMarked
package org.kindgirdle.server.http;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
