/** The round: what is due, where. */
@NullMarked
package org.kindgirdle.server.look;

import org.jspecify.annotations.NullMarked;
