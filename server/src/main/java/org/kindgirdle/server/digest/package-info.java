/** Digests by which bytes are told apart. */
@NullMarked
package org.kindgirdle.server.digest;

import org.jspecify.annotations.NullMarked;
