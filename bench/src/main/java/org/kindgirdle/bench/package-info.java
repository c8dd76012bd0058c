/** Times of the core. Limits are looked at here and reported, never asserted in tests. */
@NullMarked
package org.kindgirdle.bench;

import org.jspecify.annotations.NullMarked;
