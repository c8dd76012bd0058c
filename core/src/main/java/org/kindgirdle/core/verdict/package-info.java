/** A decision with the whole way to it: every rule's entry, typed and without prose. */
@NullMarked
package org.kindgirdle.core.verdict;

import org.jspecify.annotations.NullMarked;
