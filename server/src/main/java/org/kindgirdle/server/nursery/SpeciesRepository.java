package org.kindgirdle.server.nursery;

import org.springframework.data.jpa.repository.JpaRepository;

interface SpeciesRepository extends JpaRepository<Species, String> {}
