/** What happens between the start of the application and the first request. */
@NullMarked
package org.kindgirdle.server.opening;

import org.jspecify.annotations.NullMarked;
