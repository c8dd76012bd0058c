package org.kindgirdle.server.supplies;

import org.springframework.data.jpa.repository.JpaRepository;

interface PriceListRepository extends JpaRepository<PriceList, Integer> {}
