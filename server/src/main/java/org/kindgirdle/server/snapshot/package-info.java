/** All that a layer is reckoned from beside its journal, as of one day: climate, mothers, recipes, profiles, rules. */
@NullMarked
package org.kindgirdle.server.snapshot;

import org.jspecify.annotations.NullMarked;
