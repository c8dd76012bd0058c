package org.kindgirdle.server.words;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a grower is told.
 *
 * @param step the code; null when the layer's life is over
 * @param tone how pressing it is
 * @param headline one sentence: what to do
 * @param because why, a sentence each
 */
public record Advice(@Nullable String step, Tone tone, String headline, List<String> because) {

    /** How pressing it is. */
    public enum Tone {
        CALM,
        ACT,
        URGENT,
        DONE
    }
}
