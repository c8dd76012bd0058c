/** The sums of the bench: wood, ring, ball, load. */
@NullMarked
package org.kindgirdle.core.set;

import org.jspecify.annotations.NullMarked;
