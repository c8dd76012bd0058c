/** The figures of the house: every planning default as data, with its name, unit, range and reason. */
@NullMarked
package org.kindgirdle.core.house;

import org.jspecify.annotations.NullMarked;
