/** The house rules, in versions. */
@NullMarked
package org.kindgirdle.server.rules;

import org.jspecify.annotations.NullMarked;
