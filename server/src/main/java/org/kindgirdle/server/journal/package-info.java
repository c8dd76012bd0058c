/** Layers: the append-only journal and the projection made from it. */
@NullMarked
package org.kindgirdle.server.journal;

import org.jspecify.annotations.NullMarked;
