package org.kindgirdle.server.mothers;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface MotherRepository extends JpaRepository<Mother, Long> {

    Optional<Mother> findByCode(String code);
}
