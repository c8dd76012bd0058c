@NullMarked
package org.kindgirdle.server.calendar;

import org.jspecify.annotations.NullMarked;
