/** The places of the nursery, each with what it changes of the climate. */
@NullMarked
package org.kindgirdle.server.places;

import org.jspecify.annotations.NullMarked;
