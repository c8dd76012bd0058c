@NullMarked
package org.kindgirdle.server.photos;

import org.jspecify.annotations.NullMarked;
