@NullMarked
package org.kindgirdle.server.formats;

import org.jspecify.annotations.NullMarked;
