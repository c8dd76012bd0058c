package org.kindgirdle.server.site;

import org.springframework.data.jpa.repository.JpaRepository;

interface SiteRepository extends JpaRepository<Site, Integer> {}
