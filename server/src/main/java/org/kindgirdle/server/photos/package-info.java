/** Pictures of layers: checked by what they hold, cleaned, and kept under their hash. */
@NullMarked
package org.kindgirdle.server.photos;

import org.jspecify.annotations.NullMarked;
