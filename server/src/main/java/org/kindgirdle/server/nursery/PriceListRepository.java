package org.kindgirdle.server.nursery;

import org.springframework.data.jpa.repository.JpaRepository;

interface PriceListRepository extends JpaRepository<PriceList, Integer> {}
