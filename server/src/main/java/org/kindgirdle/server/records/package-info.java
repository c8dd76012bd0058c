/** The records as they are kept: one row each, which is never changed, read back as events of the core. */
@NullMarked
package org.kindgirdle.server.records;

import org.jspecify.annotations.NullMarked;
