/** Pot, medium, and whether it stands in the wind. */
@NullMarked
package org.kindgirdle.core.pot;

import org.jspecify.annotations.NullMarked;
