package org.kindgirdle.server.learn;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrialRepository extends JpaRepository<TrialRow, Long> {

    Optional<TrialRow> findByName(String name);

    List<TrialRow> findAllByOrderByIdDesc();
}
