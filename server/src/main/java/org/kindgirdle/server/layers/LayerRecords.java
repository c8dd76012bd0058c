package org.kindgirdle.server.layers;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.kindgirdle.server.records.LayerEventRow;
import org.kindgirdle.server.records.RecordKind;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** The records that lists and pages tell of. */
interface LayerRecords extends Repository<LayerEventRow, Long> {

    List<LayerEventRow> findByLayerIdOrderById(long layerId);

    String CHANGE =
            "select new org.kindgirdle.server.layers.LayerChanges$LayerChange(e.uuid, l.code, e.kind, e.personId,"
                    + " p.fullName, e.occurredAt, e.recordedAt) from LayerEventRow e join Layer l on l.id = e.layerId"
                    + " join Person p on p.id = e.personId";

    @Query(CHANGE + " where e.recordedAt >= :moment and e.kind <> :without order by e.recordedAt desc, e.id desc")
    List<LayerChanges.LayerChange> changesSince(Instant moment, RecordKind without, Limit limit);

    @Query(CHANGE + " where e.recordedAt >= :since and e.onDate = :day and e.kind <> :without"
            + " order by e.recordedAt desc, e.id desc")
    List<LayerChanges.LayerChange> changesOf(LocalDate day, Instant since, RecordKind without, Limit limit);

    /**
     * Layers with a word in a note. By hand: the index of words, which JPA does not know, finds it in a million notes.
     *
     * @param word in the language of that index
     */
    @Query(
            value = "select distinct layer_id from layer_event where match(note) against (:word in boolean mode)"
                    + " limit :most",
            nativeQuery = true)
    List<Long> layersWithNote(String word, int most);
}
