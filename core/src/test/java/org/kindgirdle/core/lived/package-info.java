/**
 * Layers lived through day by day in a made-up world: one who does what the rules say, one who knows everything, and one
 * who goes by the calendar.
 */
@NullMarked
package org.kindgirdle.core.lived;

import org.jspecify.annotations.NullMarked;
