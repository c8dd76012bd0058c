package org.kindgirdle.server.journal;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.kindgirdle.core.layer.LayerState;

/**
 * What became of a record: the same however often it is sent.
 *
 * @param id the record's UUID
 * @param revision of the layer after it
 * @param conflict why it could not be applied; null if it was. It is kept all the same, and shown.
 */
public record Recorded(UUID id, int revision, LayerState.@Nullable Reason conflict) {}
