/** The bench: sums before setting, and batches. */
@NullMarked
package org.kindgirdle.server.set;

import org.jspecify.annotations.NullMarked;
