package org.kindgirdle.server.species;

import java.time.LocalDate;

/** @param by who recorded it */
public record LeafRecordView(
        long id, long placeId, String speciesCode, LeafKind kind, LocalDate on, String by, LocalDate recordedOn) {}
