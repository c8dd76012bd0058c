/** The business clock, apart from the system's. */
@NullMarked
package org.kindgirdle.server.time;

import org.jspecify.annotations.NullMarked;
