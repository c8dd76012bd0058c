/** The weather as it was measured and is forecast, and what the places make of it. */
@NullMarked
package org.kindgirdle.server.climate;

import org.jspecify.annotations.NullMarked;
