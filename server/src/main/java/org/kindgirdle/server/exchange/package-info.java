/** The nursery's records in and out, in open formats: CSV for every table, and the whole nursery in one file. */
@NullMarked
package org.kindgirdle.server.exchange;

import org.jspecify.annotations.NullMarked;
