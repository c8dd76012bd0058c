/** Where the nursery is: its climate of a usual year, its frosts, its zone and its round. */
@NullMarked
package org.kindgirdle.server.site;

import org.jspecify.annotations.NullMarked;
