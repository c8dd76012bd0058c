/** What became of the layers, for whoever learns from it. */
@NullMarked
package org.kindgirdle.server.outcomes;

import org.jspecify.annotations.NullMarked;
