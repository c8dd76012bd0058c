/** What a user meets: the real jar, a real MariaDB, a real Chromium. */
@NullMarked
package org.kindgirdle.e2e;

import org.jspecify.annotations.NullMarked;
