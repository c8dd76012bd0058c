/** The species that are grown: their profiles, the times that were learned of them, and when they are in leaf. */
@NullMarked
package org.kindgirdle.server.species;

import org.jspecify.annotations.NullMarked;
