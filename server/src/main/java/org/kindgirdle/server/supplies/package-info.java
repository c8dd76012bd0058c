/** What there is to wrap, root and pot with, and what it costs. */
@NullMarked
package org.kindgirdle.server.supplies;

import org.jspecify.annotations.NullMarked;
