package org.kindgirdle.server.problem;

import com.fasterxml.jackson.annotation.JsonInclude;
import org.jspecify.annotations.Nullable;

/**
 * One thing wrong with what was sent.
 *
 * @param field path of the field, empty for the whole
 * @param value what was sent; null where nothing was
 * @param allowed what may be sent
 * @param message what is wrong and what to do
 */
@JsonInclude(JsonInclude.Include.ALWAYS)
public record Violation(String field, @Nullable Object value, String allowed, String message) {}
