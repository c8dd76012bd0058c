package org.kindgirdle.server.supplies;

import org.springframework.data.jpa.repository.JpaRepository;

interface SuppliesRepository extends JpaRepository<SuppliesRow, Integer> {}
