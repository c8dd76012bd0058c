/** People, sign-in, roles. */
@NullMarked
package org.kindgirdle.server.security;

import org.jspecify.annotations.NullMarked;
