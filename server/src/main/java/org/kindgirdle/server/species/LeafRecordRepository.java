package org.kindgirdle.server.species;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface LeafRecordRepository extends JpaRepository<LeafRecord, Long> {

    List<LeafRecord> findByTakenBackOnIsNullOrderBySeenOnAscIdAsc();

    List<LeafRecord> findByPlaceIdAndSpeciesCodeAndTakenBackOnIsNullOrderBySeenOnAscIdAsc(
            long placeId, String speciesCode);
}
