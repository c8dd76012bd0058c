/** Quantities as growers type and read them; everything inside is SI. */
@NullMarked
package org.kindgirdle.core.units;

import org.jspecify.annotations.NullMarked;
