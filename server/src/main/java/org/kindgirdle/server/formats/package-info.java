/** What leaves the application on paper: labels and drawings, as PDF. */
@NullMarked
package org.kindgirdle.server.formats;

import org.jspecify.annotations.NullMarked;
