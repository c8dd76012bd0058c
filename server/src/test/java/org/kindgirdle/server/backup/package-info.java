/** Tests of the package of the same name. */
@NullMarked
package org.kindgirdle.server.backup;

import org.jspecify.annotations.NullMarked;
