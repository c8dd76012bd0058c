/**
 * A made-up world that lives by laws of its own: weather, roots, water, animals, eyes and hands. It knows nothing of the
 * rules and sums that are tried in it, and so can prove them wrong.
 */
@NullMarked
package org.kindgirdle.core.truth;

import org.jspecify.annotations.NullMarked;
