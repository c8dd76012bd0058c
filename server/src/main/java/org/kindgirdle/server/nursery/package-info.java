/** Master data: site, places, species, recipes, mothers; and the climate made from them. */
@NullMarked
package org.kindgirdle.server.nursery;

import org.jspecify.annotations.NullMarked;
