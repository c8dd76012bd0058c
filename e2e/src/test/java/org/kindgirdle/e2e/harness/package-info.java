/** The running application and a browser that visits it. */
@NullMarked
package org.kindgirdle.e2e.harness;

import org.jspecify.annotations.NullMarked;
