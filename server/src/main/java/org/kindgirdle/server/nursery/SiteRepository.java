package org.kindgirdle.server.nursery;

import org.springframework.data.jpa.repository.JpaRepository;

interface SiteRepository extends JpaRepository<Site, Integer> {}
