/** Potting over HTTP, on a real database. */
@NullMarked
package org.kindgirdle.server.pot;

import org.jspecify.annotations.NullMarked;
