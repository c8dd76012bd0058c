/** In which units a person reads and types. */
@NullMarked
package org.kindgirdle.server.units;

import org.jspecify.annotations.NullMarked;
