/** What follows from the journals as of a day, kept in a row for each layer, and made anew when what it follows from changes. */
@NullMarked
package org.kindgirdle.server.projection;

import org.jspecify.annotations.NullMarked;
