package org.kindgirdle.server.species;

import org.springframework.data.jpa.repository.JpaRepository;

interface SpeciesRepository extends JpaRepository<Species, String> {}
