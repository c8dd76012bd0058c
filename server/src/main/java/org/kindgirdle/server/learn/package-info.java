/** What works here: trials. */
@NullMarked
package org.kindgirdle.server.learn;

import org.jspecify.annotations.NullMarked;
