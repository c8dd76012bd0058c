package org.kindgirdle.server.exchange;

import org.springframework.data.jpa.repository.JpaRepository;

interface ImportMappingRepository extends JpaRepository<ImportMappingRow, String> {}
