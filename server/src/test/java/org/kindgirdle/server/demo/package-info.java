@NullMarked
package org.kindgirdle.server.demo;

import org.jspecify.annotations.NullMarked;
