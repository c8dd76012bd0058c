/** The page that a phone begins with: how to trust the nursery's own certificate authority. */
@NullMarked
package org.kindgirdle.server.trust;

import org.jspecify.annotations.NullMarked;
