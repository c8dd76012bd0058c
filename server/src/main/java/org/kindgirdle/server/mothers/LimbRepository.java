package org.kindgirdle.server.mothers;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface LimbRepository extends JpaRepository<Limb, Long> {

    List<Limb> findByMotherIdOrderByNameAsc(long motherId);

    Optional<Limb> findByMotherIdAndName(long motherId, String name);
}
