/** The ladder and the release over HTTP, on a real database. */
@NullMarked
package org.kindgirdle.server.harden;

import org.jspecify.annotations.NullMarked;
