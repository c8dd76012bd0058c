package org.kindgirdle.server.nursery;

import org.springframework.data.jpa.repository.JpaRepository;

interface SuppliesRepository extends JpaRepository<SuppliesRow, Integer> {}
