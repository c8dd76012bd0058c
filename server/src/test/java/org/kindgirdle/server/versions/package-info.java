/** What older versions wrote. */
@NullMarked
package org.kindgirdle.server.versions;

import org.jspecify.annotations.NullMarked;
