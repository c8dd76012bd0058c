/** When to cut a layer off its mother, and how much leaf stays on it. */
@NullMarked
package org.kindgirdle.server.sever;

import org.jspecify.annotations.NullMarked;
