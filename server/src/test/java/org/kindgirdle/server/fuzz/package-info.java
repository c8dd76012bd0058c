/** Requests that nobody would think of, made up from the description of the API. */
@NullMarked
package org.kindgirdle.server.fuzz;

import org.jspecify.annotations.NullMarked;
