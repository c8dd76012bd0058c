package org.kindgirdle.server.plan;

import org.kindgirdle.core.verdict.Level;

/**
 * What a rule has to say.
 *
 * @param key the rule's stable id
 */
public record Remark(Level level, String key, String sentence) {}
