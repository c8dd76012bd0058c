/** What is found in a ball, when to look again, and the next step. */
@NullMarked
package org.kindgirdle.core.look;

import org.jspecify.annotations.NullMarked;
