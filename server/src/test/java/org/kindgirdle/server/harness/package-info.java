/** What the tests of server and screens stand on: a real MariaDB, the real application, a client. */
@NullMarked
package org.kindgirdle.server.harness;

import org.jspecify.annotations.NullMarked;
