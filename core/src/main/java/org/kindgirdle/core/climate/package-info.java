/** The weather of a place: normals, frosts, sun, and what they do to a ball. */
@NullMarked
package org.kindgirdle.core.climate;

import org.jspecify.annotations.NullMarked;
