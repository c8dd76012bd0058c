/** The life of one layer: its records, their replay, and the projection from them. */
@NullMarked
package org.kindgirdle.core.layer;

import org.jspecify.annotations.NullMarked;
