/** The sentences of verdicts and jobs, made in one place. */
@NullMarked
package org.kindgirdle.server.words;

import org.jspecify.annotations.NullMarked;
