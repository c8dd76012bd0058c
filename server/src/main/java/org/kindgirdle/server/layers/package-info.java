/** Lists, pages and cards of layers, and what is counted of them. */
@NullMarked
package org.kindgirdle.server.layers;

import org.jspecify.annotations.NullMarked;
