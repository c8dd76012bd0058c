/** The made-up nursery and its clock. */
@NullMarked
package org.kindgirdle.server.demo;

import org.jspecify.annotations.NullMarked;
