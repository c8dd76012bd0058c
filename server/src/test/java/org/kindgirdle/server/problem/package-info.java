/** Tests of the package of the same name. */
@NullMarked
package org.kindgirdle.server.problem;

import org.jspecify.annotations.NullMarked;
