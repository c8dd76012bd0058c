/** The mothers, their limbs, and what was changed on them. */
@NullMarked
package org.kindgirdle.server.mothers;

import org.jspecify.annotations.NullMarked;
