/** A whole year through the API, by the book. */
@NullMarked
package org.kindgirdle.server.year;

import org.jspecify.annotations.NullMarked;
