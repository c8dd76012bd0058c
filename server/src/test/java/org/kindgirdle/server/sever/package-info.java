/** Cuts over HTTP, on a real database. */
@NullMarked
package org.kindgirdle.server.sever;

import org.jspecify.annotations.NullMarked;
