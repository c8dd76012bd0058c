/** Into what a severed layer goes, and whether it stands in the wind. */
@NullMarked
package org.kindgirdle.server.pot;

import org.jspecify.annotations.NullMarked;
