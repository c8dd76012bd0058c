/** The journals of the layers are written here: records by hand, for many at once, and with files. */
@NullMarked
package org.kindgirdle.server.journal;

import org.jspecify.annotations.NullMarked;
