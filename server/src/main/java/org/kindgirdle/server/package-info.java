/** The application: HTTP, persistence, security. */
@NullMarked
package org.kindgirdle.server;

import org.jspecify.annotations.NullMarked;
