/** Heat turned into root growth: response, thermal days, speed and odds, time to ready. */
@NullMarked
package org.kindgirdle.core.growth;

import org.jspecify.annotations.NullMarked;
