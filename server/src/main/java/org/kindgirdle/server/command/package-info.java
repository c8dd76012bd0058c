/** One answer for one command, however often it is sent. */
@NullMarked
package org.kindgirdle.server.command;

import org.jspecify.annotations.NullMarked;
