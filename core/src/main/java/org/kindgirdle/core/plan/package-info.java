/** Is it time: the window for a start date. */
@NullMarked
package org.kindgirdle.core.plan;

import org.jspecify.annotations.NullMarked;
