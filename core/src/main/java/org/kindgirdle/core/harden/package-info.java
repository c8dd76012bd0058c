/** The way of the young plant from the tent to the open. */
@NullMarked
package org.kindgirdle.core.harden;

import org.jspecify.annotations.NullMarked;
