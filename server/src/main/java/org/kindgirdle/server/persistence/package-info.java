/** How Hibernate is set up for all rooms. */
@NullMarked
package org.kindgirdle.server.persistence;

import org.jspecify.annotations.NullMarked;
