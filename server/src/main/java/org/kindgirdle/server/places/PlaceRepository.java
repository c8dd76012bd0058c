package org.kindgirdle.server.places;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlaceRepository extends JpaRepository<Place, Long> {

    List<Place> findAllByOrderByWalkingOrderAscNameAsc();

    Optional<Place> findByName(String name);
}
