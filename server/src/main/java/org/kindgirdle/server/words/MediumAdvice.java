package org.kindgirdle.server.words;

import java.util.List;
import org.kindgirdle.core.pot.FirstMedium;
import org.kindgirdle.core.verdict.Level;

/**
 * What is to be said of a first medium, in sentences.
 *
 * @param level the gravest of them
 */
public record MediumAdvice(FirstMedium medium, String name, Level level, List<String> remarks) {}
