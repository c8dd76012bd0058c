/** Rounds, windows and single jobs in people's own calendars. */
@NullMarked
package org.kindgirdle.server.calendar;

import org.jspecify.annotations.NullMarked;
