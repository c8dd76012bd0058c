/** The day to cut, and the leaf that the roots can carry. */
@NullMarked
package org.kindgirdle.core.sever;

import org.jspecify.annotations.NullMarked;
