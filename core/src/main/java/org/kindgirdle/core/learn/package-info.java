/** What the nursery's own records teach: shares with honest intervals, trials, times to a full ball. */
@NullMarked
package org.kindgirdle.core.learn;

import org.jspecify.annotations.NullMarked;
