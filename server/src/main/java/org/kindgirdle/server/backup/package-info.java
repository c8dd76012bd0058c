/** Backups: written, looked through, brought back, and made every night. */
@NullMarked
package org.kindgirdle.server.backup;

import org.jspecify.annotations.NullMarked;
