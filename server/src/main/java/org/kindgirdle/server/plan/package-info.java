/** Windows for a start date. */
@NullMarked
package org.kindgirdle.server.plan;

import org.jspecify.annotations.NullMarked;
