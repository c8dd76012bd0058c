/** What all of HTTP shares: JSON, the API's description, the pages. */
@NullMarked
package org.kindgirdle.server.http;

import org.jspecify.annotations.NullMarked;
