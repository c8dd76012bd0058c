/** Tests of the core: reference rows, properties, and the shape of the code. */
@NullMarked
package org.kindgirdle.core;

import org.jspecify.annotations.NullMarked;
