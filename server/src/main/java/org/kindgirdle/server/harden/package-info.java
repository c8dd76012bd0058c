/** The ladder from the tent to the open, the winter, and the release. */
@NullMarked
package org.kindgirdle.server.harden;

import org.jspecify.annotations.NullMarked;
